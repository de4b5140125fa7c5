# frozen_string_literal: true

module Pages
  module Listen
    # What a wrong answer may come from, and what to ask next, for one record.
    class Diagnosis
      # @param posed [Records::PosedProblem]
      # @param observation [Records::Observation]
      def initialize(posed, observation)
        @problem = posed.problem
        @core = observation.answer && Rungs::Slip::Diagnosis.new(@problem, observation.answer, rung: observation.code)
      end

      # @return [Array<Rungs::Slip::Diagnosis::Match>] the two likeliest
      def slips = @core ? @core.slips.first(2) : []

      # @return [Rungs::Problem, nil] the probe; where one slip is left, a second look at it
      def next_problem
        return if slips.empty?

        @next_problem ||= @core.probe&.problem || Rungs::Slip::Probe.second_look(@problem, @core.slips.first)
      end
    end
  end
end
