# frozen_string_literal: true

require "forwardable"

module Records
  # What the records of a class say: where each child is (Estimates), what was heard (Answers), and how often (Tallies).
  class Evidence
    extend Forwardable

    # Days for which a slip is of late.
    SLIP_DAYS = 56

    def_delegators :@estimates, :estimate, :glance, :as_of, :estimate_of, :read, :heard?, :estimate_on, :running_before,
                   :worked_out_from, :movement, :learnt, :known, :steps, :busiest
    def_delegators :@answers, :slips_of_late, :heard_of, :due_facts, :all, :late, :before, :on_problems,
                   :records_of, :about
    def_delegators :@tallies, :last_heard, :last_before, :first_heard, :counts

    # @param classroom [Classroom]
    def initialize(classroom)
      @answers = Answers.new(classroom)
      @estimates = Estimates.new(classroom, @answers)
      @tallies = Tallies.new(classroom)
    end
  end
end
