# frozen_string_literal: true

module Records
  class Week
    # Parts and lessons that go to other days, come again, or are taken out.
    module Moving
      # Weeks that can be repeated; days after which what was left is let go.
      BACK = 20
      RECENT = 8

      def take_out(parts)
        parts.each { |part| part.lesson.course.take_out(part) }
        forget
      end

      # The same parts with other numbers, so that no sum comes again by accident; what the teacher wrote stays.
      # @param course [Course] of another day
      def copy(course, date)
        to = @room.lesson_for(date).course
        course.parts.each do |part|
          own = part.details.thrown.any?
          to.plan(part.kind, minutes: part.minutes, details: own ? part.details : part.details.with(seed: nil))
        end
        forget
      end

      # @return [Array<Date>] Mondays of earlier weeks in which something was planned, the last first
      def earlier
        held = @room.lessons_dataset.where(id: LessonPart.not_removed.select(:lesson_id))
        held.where(held_on: monday - (7 * BACK)...monday).unordered.select_map(:held_on)
            .map { |day| Rungs::SchoolDays.monday(day) }.uniq.sort.reverse
      end

      # The lessons of an earlier week on the days that have nothing.
      def repeat(earlier)
        dates.each do |date|
          before = @room.lesson_on(earlier + (date - monday))&.course
          copy(before, date) if before && parts_on(date).empty? && !off?(date)
        end
      end

      def empty(date) = take_out(parts_on(date).reject(&:begun?))

      # A part that has not begun goes to the end of another day.
      def move(part, date)
        to = @room.lesson_for(date)
        last = to.course.parts.map(&:place).max || 0
        part.update(lesson_id: to.id, place: last + 1) unless part.begun?
        forget
      end

      # A lesson goes to another day whole, but for what has begun.
      def move_whole(date, to) = parts_on(date).reject(&:begun?).each { |part| move(part, to) }

      # The first day to come, and the lesson before it where that left something undone.
      # @return [Array(Date, Lesson), nil]
      def left_over(today)
        date = dates.find { |day| day >= today && !off?(day) && lesson(day)&.ended_at.nil? } or return
        last = @room.lesson_before(date) or return
        over = last.held_on < today || last.ended_at
        [date, last] if over && last.held_on > date - RECENT && last.course.left.any?
      end

      # What a lesson left undone flows on: it stands before what is planned for that day.
      # @param from [Lesson]
      # @param date [Date]
      def flow(from, date)
        left = from.course.left
        @room.lesson_for(date).course.take_over(from.course)
        begun, planned = left.partition(&:begun?)
        begun.each { |part| part.update(skipped: true) }
        take_out(planned)
      end
    end
  end
end
