# frozen_string_literal: true

module Rungs
  module Progress
    module NextProblems
      # Where it is not clear how a child works: the problems of the band that would tell most, as a check-in picks
      # them, with what would tell what.
      module Telling
        module_function

        # @param estimate [Estimate] with a working rung
        # @param last [Array<Array<Integer>>] the facts of the last problems
        # @return [Array<Proposal>] at most RUNNING
        def propose(estimate, operation:, band:, last: [])
          chances = estimate.filter.probabilities
          problems = CheckIn.telling(operation: operation, band: band, chances: chances, last: last, count: RUNNING)
          problems.map do |problem|
            Proposal.new(problem: problem, why: why(problem, chances), telling: true)
          end
        end

        # The two likeliest rungs that it lets show, as they would sound.
        def why(problem, chances)
          rungs = problem.affords.max_by(2) { |level| chances[level - 1] }.sort.reverse
          said = rungs.map { |level| "“#{Strategy::Path.usual(problem, level).says}”" }
          "Not clear yet, and this would tell most: #{said.join(' or ')}"
        end
        private_class_method :why
      end
    end
  end
end
