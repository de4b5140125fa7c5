# frozen_string_literal: true

module Records
  # A problem as it was posed in a lesson.
  class PosedProblem < Sequel::Model(:problems)
    many_to_one :classroom, class: "Records::Classroom"
    many_to_one :lesson, class: "Records::Lesson"
    many_to_one :part, class: "Records::LessonPart"
    one_to_many :ways, class: "Records::ProblemWay", key: :problem_id, order: :id

    dataset_module do
      # Of a story with several number sets the one it was written with; all others.
      def for_everybody = where(Sequel.function(:coalesce, :number_set, "middle") => "middle")
    end

    OF = where(classroom_id: :$classroom_id, id: :$id).prepare(:first, :problem_of)

    # @return [Rungs::Problem]
    def problem
      @problem ||= Rungs::Problem.new(situation: situation, parts: parts.to_a, unknown: unknown.to_sym,
                                      equation: situation ? nil : Rungs::Problem::Equation.parse(equation))
    end

    # The same story's number sets, easier first; none where it has only this one.
    def number_sets = number_set ? PosedProblem.where(part_id: part_id).exclude(number_set: nil).all.sort_by { |each| SETS.index(each.number_set) } : []

    SETS = %w[easier middle harder].freeze

    def for_everybody? = [nil, "middle"].include?(number_set)

    # What a grown-up reads: the story, or the bare equation.
    def words = story.empty? ? equation : story

    # @return [Integer] its place in the lesson, from 1
    def place = (lesson.problems_dataset.select_map(:id).index(id) || 0) + 1
  end
end
