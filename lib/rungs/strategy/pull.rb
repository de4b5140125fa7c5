# frozen_string_literal: true

module Rungs
  module Strategy
    # What a problem invites: the rungs 1–4 it affords, least work first (guide 4). 2 + 9 rewards starting from the
    # larger number, 9 + 5 rewards ten. Counting in equal steps is left out.
    class Pull
      RUNGS = (1..4)

      Step = Struct.new(:rung, :work, keyword_init: true)

      # @return [Array<Step>] least work first; of equals, the higher rung
      attr_reader :steps

      # @param problem [Problem]
      def initialize(problem)
        least = costs(problem).group_by(&:first).transform_values { |works| works.map(&:last).min }
        steps = least.map { |rung, work| Step.new(rung: rung, work: work) }
        @steps = steps.sort_by { |step| [step.work, -step.rung] }.freeze
      end

      # @return [Integer] the rung it invites
      def rung = steps.first.rung

      # @return [Numeric, nil] how much less work it is than the next lower rung afforded; nil where there is none
      def saves
        lower = steps.select { |step| step.rung < rung }.max_by(&:rung)
        lower && (lower.work - steps.first.work)
      end

      def to_h
        { pull: steps.map { |step| { rung: Rung.at(step.rung).id, work: step.work } }, invites: Rung.at(rung).id }
      end

      private

      # Without the paths themselves, since a whole square of facts asks.
      def costs(problem)
        return of_paths(problem) if problem.two_sided?

        moves = Move::ALL.select { |move| RUNGS.cover?(move.rung) && move.pulls? && move.applies?(problem) }
        moves.map { |move| [move.rung, move.work(problem)] }
      end

      def of_paths(problem)
        paths = problem.paths.select { |path| RUNGS.cover?(path.rung) && path.move.pulls? }
        paths.map { |path| [path.rung, path.work] }
      end
    end
  end
end
