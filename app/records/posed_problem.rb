# frozen_string_literal: true

module Records
  # A problem as it was posed in a lesson.
  class PosedProblem < Sequel::Model(:problems)
    many_to_one :classroom, class: "Records::Classroom"
    many_to_one :lesson, class: "Records::Lesson"
    many_to_one :part, class: "Records::LessonPart"
    one_to_many :ways, class: "Records::ProblemWay", key: :problem_id, order: :id

    OF = where(classroom_id: :$classroom_id, id: :$id).prepare(:first, :problem_of)

    # @return [Rungs::Problem]
    def problem
      @problem ||= Rungs::Problem.new(situation: situation, parts: parts.to_a, unknown: unknown.to_sym,
                                      equation: situation ? nil : Rungs::Problem::Equation.parse(equation))
    end

    # The same story's number sets, easier first; none where it has only this one.
    def number_sets = number_set ? PosedProblem.where(part_id: part_id).exclude(number_set: nil).all.sort_by { |each| SETS.index(each.number_set) } : []

    SETS = %w[easier middle harder].freeze

    # What a grown-up reads: the story, or the bare equation.
    def words = story.empty? ? equation : story

    # @return [Integer] its place in the lesson, from 1
    def place = (lesson.problems_dataset.select_map(:id).index(id) || 0) + 1
  end
end
