# frozen_string_literal: true

module Records
  # A problem as it was posed in a lesson.
  class PosedProblem < Sequel::Model(:problems)
    many_to_one :classroom, class: "Records::Classroom"
    many_to_one :lesson, class: "Records::Lesson"
    many_to_one :part, class: "Records::LessonPart"
    one_to_many :ways, class: "Records::Way", key: :problem_id, order: :id

    dataset_module do
      # Of a story with several number sets the one it was written with; all others.
      def for_everybody = where(Sequel.function(:coalesce, :number_set, "middle") => "middle")

      # Posed in a lesson to all, not in a check-in to one.
      def of_lesson(lesson_id) = where(lesson_id: lesson_id, check_in_id: nil)
    end

    OF = where(classroom_id: :$classroom_id, id: :$id).prepare(:first, :problem_of)

    # @param row [Hash] with situation, parts, unknown and equation
    # @return [Rungs::Problem]
    def self.problem_of(row)
      Rungs::Problem.new(situation: row[:situation], parts: row[:parts].to_a, unknown: row[:unknown].to_sym,
                         equation: row[:situation] ? nil : Rungs::Problem::Equation.parse(row[:equation]))
    end

    # @return [Rungs::Problem]
    def problem = @problem ||= PosedProblem.problem_of(values)

    # @return [Array<String>] what each part of a story is of ("red kite"); counters where there is no story
    def things = classroom.book[template]&.things || ["counter"]

    # @return [Integer] how many children were heard on it
    def heard_count = Observation.heard_on(self).size

    # @return [Array<Observation>] rungs heard of it, in order, with their children
    def rungs_heard
      here = Sequel[:observations]
      classroom.observations_dataset.standing.where(here[:problem_id] => id).exclude(here[:rung] => nil)
               .in_order.eager(:child).all
    end

    # The same story's number sets, easier first; none where it has only this one.
    def number_sets = number_set ? part.items.number_sets : []

    # @return [Array<Rungs::Strategy::Sharing::Proposal>] which ways heard of it to share
    def sharing
      heard = rungs_heard.map do |row|
        Rungs::Strategy::Sharing::Heard.new(who: row.child.name, rung: row.rung, move: row.move, right: row.right)
      end
      Rungs::Strategy::Sharing.propose(problem, heard)
    end

    # Of a story with several sets of numbers, the one that is this child's.
    # @return [PosedProblem]
    def numbers_of(child)
      return self unless number_set && for_everybody? && part

      level = part.details.sets.find { |_, ids| ids.include?(child.id) }&.first
      number_sets.find { |each| each.number_set == level } || self
    end

    def for_everybody? = [nil, "middle"].include?(number_set)

    # What a grown-up reads: the story, or the bare equation.
    def words = story.empty? ? equation : story

    # @return [Integer] its place in the lesson, from 1
    def place = (lesson.problems_dataset.select_map(:id).index(id) || 0) + 1
  end
end
