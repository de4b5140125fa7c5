# frozen_string_literal: true

module Pages
  module Today
    # What is on for this class, and whom to listen to.
    class Page < Shared::Page
      view :"today/today", tab: "today", title: "Today"

      def lesson = lesson_today
      def parts = course&.parts.to_a
      def course = lesson&.course

      # Whether names and photos go soon; who sees it was told.
      def notice?
        return false unless room.to_be_told?(today)

        room.tell(today) unless substitute?
        true
      end

      # The lesson that stopped before its end, where today's has not begun.
      def unfinished = @unfinished ||= (room.unfinished(today) unless parts.any?(&:begun?))

      # What a lesson has where nothing was planned.
      def usual = Rungs::Activity::USUAL.map { |id| Rungs::Activity::ALL.fetch(id) }
      def done? = parts.any? && course.left.empty? && !course.current
      def begun? = parts.any?(&:begun?)
      def under_way? = lesson&.problems&.any? && lesson.ended_at.nil?

      # Turns of today's list, or of the next school day's: those to come, then those that were taken.
      def waiting = by_turn.first
      def heard = by_turn.last
      def next_up = waiting.map(&:child)

      # The groups saved for this lesson, by name.
      def groups
        by_id = room.children.to_h { |child| [child.id, child.name] }
        (lesson&.groups || []).map { |ids| ids.filter_map { |id| by_id[id] } }.reject(&:empty?)
      end

      # What the last lesson in which somebody was heard showed.
      # @return [Records::LookBack, nil]
      def last_lesson
        day = room.heard_up_to(today)
        day && Records::LookBack.new(room, evidence, day, day)
      end

      def heard_of(posed) = "#{plural(posed.heard_count, 'child', 'children')} heard"

      private

      def by_turn
        @by_turn ||= listening.on(coming_day).partition { |turn| !listening.heard?(turn.child, coming_day) }
      end
    end
  end
end
