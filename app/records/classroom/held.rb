# frozen_string_literal: true

module Records
  class Classroom
    # Its lessons, by day.
    module Held
      def lesson_on(day) = own(ON_DAY.call(id: id, day: day))

      # That day's lesson as it is, begun here where there was none.
      def lesson_for(day) = lesson_on(day) || start_lesson(day)

      # Those of several days, begun where there were none.
      # @return [Hash{Date => Integer}] the id of each
      def lessons_for(days)
        there = lessons_dataset.unordered.where(held_on: days)
        missing = days - there.select_map(:held_on)
        Lesson.dataset.insert_conflict(target: %i[classroom_id held_on]).multi_insert(
          missing.map { |day| { classroom_id: id, held_on: day, created_at: Time.now } }
        )
        there.select_hash(:held_on, :id)
      end

      # Starts that day's lesson, or finds it already started.
      def start_lesson(day)
        Lesson.dataset.insert_conflict(target: %i[classroom_id held_on])
              .insert(classroom_id: id, held_on: day, created_at: Time.now)
        lesson_on(day).tap { |lesson| lesson.reopen if lesson.ended_at }
      end

      # @return [Lesson, nil] the last lesson before a day
      def lesson_before(day) = own(lessons_dataset.first(Sequel[:held_on] < day))

      # @return [Lesson, nil] the last lesson before a day, where it was begun and stopped with parts left
      def unfinished(day)
        last = lesson_before(day)
        last if last && last.course.left.any? && last.course.parts.any?(&:begun?)
      end

      # @return [Date, nil] the day of the first lesson
      def first_day = lessons_dataset.unordered.min(:held_on)

      # @return [Date, nil] the last lesson up to a day, or the nearest before or after it, in which somebody was heard
      def heard_up_to(day) = lessons_heard.where(Sequel[:held_on] <= day).reverse(:held_on).get(:held_on)
      def heard_before(day) = lessons_heard.where(Sequel[:held_on] < day).reverse(:held_on).get(:held_on)
      def heard_after(day) = lessons_heard.where(Sequel[:held_on] > day).order(:held_on).get(:held_on)

      private

      # A lesson that knows its class without asking for it.
      def own(lesson) = lesson&.read_with(classroom: self)

      def lessons_heard
        heard = observations_dataset.standing.where(Sequel[:observations][:problem_id] => Sequel[:problems][:id])
        posed = problems_dataset.unordered.where(Sequel[:problems][:lesson_id] => Sequel[:lessons][:id])
        lessons_dataset.unordered.where(posed.where(heard.select(1).exists).select(1).exists)
      end
    end
  end
end
