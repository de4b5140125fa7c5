# frozen_string_literal: true

module Rungs
  module Strategy
    class Hearing
      # One thing that the numbers may be. rung: an id or an off-ladder code. move: an id or nil. slip: an id or nil.
      # answer: what the child then says, nil where that is still open. confidence: a weight, or a share of 1.
      Candidate = Struct.new(:rung, :move, :slip, :answer, :confidence, :why, keyword_init: true)

      # Where a candidate comes from.
      class Candidate
        include With

        # @param move [Move]
        def self.of(move, weight, answer, why, slip: nil)
          new(rung: move.rung_id, move: move.id, slip: slip, answer: answer, confidence: weight, why: why)
        end

        # One that is on no rung.
        def self.off(code, weight, answer, why, slip: nil)
          new(rung: code, move: nil, slip: slip, answer: answer, confidence: weight, why: why)
        end

        # The same, once the answer was heard too.
        # @return [Candidate, nil] nil where that answer tells against it
        def said(number, problem)
          return self if number == answer
          return unless answer.nil? || (slip.nil? && number != problem.answer)

          with(answer: number, slip: slip || MISCOUNT, why: "#{why}; then #{number}")
        end
      end
    end
  end
end
