# frozen_string_literal: true

module Pages
  module Shared
    # A class on a day: what is known of it, its lesson, and the next one to plan for.
    class ClassDay
      # @return [Date]
      attr_reader :today

      def initialize(room, today)
        @room = room
        @today = today
      end

      def evidence = @evidence ||= Records::Evidence.new(@room)
      def lesson_today = @lesson_today ||= @room.lesson_on(today)

      # The next that is not marked as one without school.
      def next_school_day
        @next_school_day ||= @room.school_days(today + 1, 1).first || Rungs::SchoolDays.after(today)
      end

      # The lesson to plan for: today's until it has ended, where there is school today or a lesson all the same.
      def coming_day = @coming_day ||= taught_today? ? today : next_school_day

      private

      def taught_today?
        return lesson_today.ended_at.nil? if lesson_today

        Rungs::SchoolDays.school_day?(today) && !@room.off?(today)
      end
    end
  end
end
