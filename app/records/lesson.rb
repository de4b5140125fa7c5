# frozen_string_literal: true

module Records
  # One day's lesson in a class: the problems posed, in order.
  class Lesson < Sequel::Model(:lessons)
    many_to_one :classroom, class: "Records::Classroom"
    one_to_many :problems, class: "Records::PosedProblem", order: %i[posed_at id]

    # @param problem [Rungs::Problem]
    # @param story [String] the words, as the teacher left them
    # @param template [String, nil]
    # @param at [Time]
    # @return [PosedProblem]
    def pose(problem, story:, template: nil, at: Time.now)
      PosedProblem.create(
        classroom_id: classroom_id, lesson_id: id, situation: problem.situation&.id, equation: problem.to_s,
        parts: Sequel.pg_array(problem.parts, :integer), unknown: problem.unknown.to_s, operation: problem.operation,
        band: problem.band, affords: Sequel.pg_array(problem.affords, :integer), story: story, template: template, posed_at: at
      )
    end
  end
end
