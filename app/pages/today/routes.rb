# frozen_string_literal: true

module Pages
  module Today
    # What is on for this class, and whom to listen to.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      get "/:room" do
        @tab, @title = "today", "Today"
        @lesson = room.lesson_on(today)
        @course = @lesson&.course
        @unfinished = room.unfinished(today) unless @course&.parts&.any?(&:begun?)
        @waiting, @heard = listening.on(coming_day).partition { |turn| !listening.heard?(turn.child, coming_day) }
        @margin = class_margin(next_up: @waiting.map(&:child)) { |child| "/climb/#{room.id}/children/#{child.id}" }
        erb :"today/today"
      end

      helpers do
        # What a lesson has where nothing was planned.
        def usual = Rungs::Activity::USUAL.map { |id| Rungs::Activity::ALL.fetch(id) }

        # The groups saved for this lesson, by name.
        def groups
          by_id = room.children.to_h { |child| [child.id, child.name] }
          (@lesson&.groups || []).map { |ids| ids.filter_map { |id| by_id[id] } }.reject(&:empty?)
        end

        # What the last lesson in which somebody was heard showed.
        # @return [Records::LookBack, nil]
        def last_lesson
          day = room.heard_up_to(today)
          day && Records::LookBack.new(room, evidence, day, day)
        end

        def heard_of(posed) = "#{plural(posed.heard_count, 'child', 'children')} heard"
      end
    end
  end
end
