# frozen_string_literal: true

module Rungs
  module Strategy
    # What a problem invites: the rungs 1–4 it affords, least work first (field guide 4). 2 + 9 rewards starting from the
    # larger number, 9 + 4 rewards ten.
    class Pull
      RUNGS = (1..4)

      Step = Struct.new(:rung, :work, keyword_init: true)

      # @return [Array<Step>] least work first; of equals, the lower rung
      attr_reader :steps

      def initialize(problem)
        cheapest = Move::ALL.each_with_object({}) do |move, least|
          next unless RUNGS.cover?(move.rung) && move.applies?(problem)

          work = move.work(problem)
          least[move.rung] = work unless least[move.rung]&.<= work
        end
        @steps = cheapest.map { |rung, work| Step.new(rung: rung, work: work) }.sort_by { |step| [step.work, step.rung] }.freeze
      end

      def rung = steps.first.rung

      # @return [Float, nil] how much less work it is than the next lower rung afforded; nil where there is none
      def saves
        lower = steps.select { |step| step.rung < rung }.max_by(&:rung)
        lower && (lower.work - steps.first.work)
      end
    end
  end
end
