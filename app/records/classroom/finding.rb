# frozen_string_literal: true

module Records
  class Classroom
    # What of it is found, by an id that somebody sent: nothing of another class.
    module Finding
      # @param key [String] the first key of a record
      # @return [Observation, nil] the version that stands
      def record(key, **of) = observations_dataset.standing.first(first_key: key, **of)

      # @return [Array<Observation>] the last of a lesson
      def last_records(lesson, **of) = Observation.last_of(lesson, **of)

      # @return [Lesson, nil]
      def lesson(id) = id.to_s.match?(/\A\d{1,18}\z/) ? own(lessons_dataset.first(id: id.to_i)) : nil

      # @return [LessonPart, nil] a part of any of its lessons
      def part(id)
        id.to_s.match?(/\A\d{1,18}\z/) ? LessonPart.not_removed.first(classroom_id: self.id, id: id.to_i) : nil
      end

      # @return [LessonPart, nil] one that was taken out
      def part_out(id) = LessonPart.exclude(removed_at: nil).first(classroom_id: self.id, id: id.to_i)

      # @return [Child, nil]
      def child(id)
        return unless id.to_s.match?(/\A\d{1,18}\z/)
        return @child if @child&.id == id.to_i

        CHILD.call(classroom_id: self.id, id: id.to_i)
      end

      # @return [Child, nil] also one who has left the list, and has records all the same
      def anybody(id) = child(id) || (Child.first(classroom_id: self.id, id: id.to_i) if id.to_s.match?(/\A\d{1,18}\z/))

      # @return [PosedProblem, nil]
      def problem(id)
        return unless id.to_s.match?(/\A\d{1,18}\z/)
        return @problem if @problem&.id == id.to_i

        PosedProblem::OF.call(classroom_id: self.id, id: id.to_i)
      end

      # The problem posed last, today; the last of any day.
      def current_problem(day = today) = (lesson = lesson_on(day)) && lesson.problems_dataset.for_everybody.last
      def last_problem = problems_dataset.for_everybody.last
      def last_story = problems_dataset.exclude(situation: nil).last

      # @return [Array<String>] the stories heard here since a day
      def templates_since(day)
        problems_dataset.unordered.where(Sequel[:posed_at] >= day).exclude(template: nil).distinct.select_map(:template)
      end
    end
  end
end
