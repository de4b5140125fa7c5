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
          return [unseen(0.9, "only the answer, after #{@seconds} seconds: nobody saw how")] if slow?
          return wrong(@seconds ? "quick, and not right" : "only the answer, and not right") unless right?
          return [recall(0.9, "only the answer, within #{QUICK_SECONDS} seconds")] if @seconds

          [unseen(0.6, "only the answer, and no time was taken"),
           recall(0.4, "only the answer; at once, it would be known")]
        end

        private

        def slow? = @seconds && @seconds > QUICK_SECONDS
        def right? = @problem.right?(@said)

        # Nobody knows a fact that is not so.
        def wrong(told)
          from = @origin.call(@said)
          why = from ? "#{told}: nobody saw how; it may come from: #{from.title}" : "#{told}: nobody saw how"
          [unseen(0.55, why, slip: from&.id),
           Candidate.off("guess", 0.45, @said, "#{told}: it may be a guess", slip: from&.id)]
        end

        def unseen(weight, why, slip: nil) = Candidate.off("unseen", weight, @said, why, slip: slip)
        def recall(weight, why) = Candidate.of(Move::ALL.fetch("recall"), weight, @said, why)
      end
    end
  end
end
