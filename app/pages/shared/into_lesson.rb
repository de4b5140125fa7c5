# frozen_string_literal: true

module Pages
  module Shared
    # Takes something to do into the lesson of a day, or begins it at once.
    module IntoLesson
      # @param activity [Class] a Rungs::Activity::Kind
      # @param day [Date] of the lesson; passed over where it is done now, also where today's lesson has stopped
      # @param title [String] as it is told
      # @param part [Hash] minutes and details of the part
      def into_lesson(activity, day:, now: false, title: activity.title, **part)
        lesson = now ? room.start_lesson(today) : room.lesson_for(day)
        planned = lesson.course.plan(activity.id, **part)
        return begin_now(lesson, planned) if now

        on = day == today ? "today’s lesson" : "the lesson of #{long_date(day)}"
        visitor.note "#{title} is put into #{on}."
        redirect "/lesson/#{room.id}#{"?day=#{day}" unless day == today}"
      end

      private

      def begin_now(lesson, part)
        lesson.course.go(lesson.course.part(part.id))
        redirect "/conduct/#{room.id}"
      end
    end
  end
end
