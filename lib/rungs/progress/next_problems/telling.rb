# frozen_string_literal: true

module Rungs
  module Progress
    module NextProblems
      # Where it is not clear how a child works: the problems of the band that would tell most, as a check-in picks
      # them, with what would tell what.
      module Telling
        module_function

        # @param estimate [Estimate] of a child of whom enough was heard
        # @param history [History]
        # @return [Array<Proposal>] at most RUNNING
        def propose(estimate, operation:, band:, history: History::NONE)
          chances = estimate.filter.on([estimate.on, *estimate.filter.day].max)
          problems = CheckIn.telling(operation: operation, band: band, chances: chances, history: history,
                                     count: RUNNING)
          problems.map do |problem|
            Proposal.new(problem: problem, why: why(problem, chances), telling: true)
          end
        end

        # The two likeliest ways that it lets show, as they would sound.
        def why(problem, chances)
          levels = problem.affords.select { |level| level <= chances.size }
          rungs = levels.max_by(2) { |level| chances[level - 1] }.sort.reverse
          said = rungs.map { |level| "“#{Strategy::Path.usual(problem, level).says}”" }
          "Not clear yet, and this would tell most: #{said.join(' or ')}"
        end
        private_class_method :why
      end
    end
  end
end
