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
        @turns = listening.on(today)
        @heard, @waiting = @turns.partition { |turn| evidence.last_heard[turn.child.id] == today }
        @margin = class_margin(next_up: @turns.map(&:child)) { |child| "/climb/#{room.id}/children/#{child.id}" }
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

        def heard_of(posed) = "#{plural(posed.heard_count, 'child', 'children')} heard"
      end
    end
  end
end
