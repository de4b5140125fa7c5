# frozen_string_literal: true

module Records
  # A problem as it was posed in a lesson.
  class PosedProblem < Sequel::Model(:problems)
    many_to_one :classroom, class: "Records::Classroom"
    many_to_one :lesson, class: "Records::Lesson"

    # @return [Rungs::Problem]
    def problem
      @problem ||= Rungs::Problem.new(situation: situation, parts: parts.to_a, unknown: unknown.to_sym,
                                      equation: situation ? nil : Rungs::Problem::Equation.parse(equation))
    end

    # What a grown-up reads: the story, or the bare equation.
    def words = story.empty? ? equation : story

    # @return [Integer] its place in the lesson, from 1
    def place = (lesson.problems_dataset.select_map(:id).index(id) || 0) + 1
  end
end
