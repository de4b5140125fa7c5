# frozen_string_literal: true

module Rungs
  module Strategy
    class Hearing
      # Only the answer was heard: known if it came at once and is right, else nobody saw how.
      class Alone
        # @param said [Integer]
        # @param seconds [Numeric, nil]
        # @param origin [Proc] the answer → the slip it may come from, or nil
        def initialize(problem, said, seconds, origin)
          @problem = problem
          @said = said
          @seconds = seconds
          @origin = origin
        end

        def candidates
          unless @seconds
            return [unseen(0.6, "only the answer, and no time was taken"),
                    recall(0.4, "only the answer; at once, it would be known")]
          end
          return [unseen(0.9, "only the answer, after #{@seconds} seconds: nobody saw how")] if @seconds > QUICK_SECONDS
          return [recall(0.9, "only the answer, within #{QUICK_SECONDS} seconds")] if @problem.right?(@said)

          [recall(0.55, "quick, and not right"),
           Candidate.off("guess", 0.45, @said, "quick, and not right: it may be a guess")]
        end

        private

        def unseen(weight, why) = Candidate.off("unseen", weight, @said, why)

        def recall(weight, why)
          from = @problem.right?(@said) ? nil : @origin.call(@said)
          why = "#{why}; it may come from: #{from.title}" if from
          Candidate.of(Move::ALL.fetch("recall"), weight, @said, why, slip: from&.id)
        end
      end
    end
  end
end
