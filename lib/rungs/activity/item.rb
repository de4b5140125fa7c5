# frozen_string_literal: true

module Rungs
  module Activity
    # One thing to do: what is asked, the answer, its plain data (enough to make it again), and its steps on the board.
    # With a problem of guide 3 it can be posed, listened to and recorded like any other.
    #
    # answer: a number, a word, or nil where many are right. equation: as it is asked, with its box; nil where there is
    # none.
    Item = Struct.new(:ask, :answer, :problem, :equation, :data, :steps, keyword_init: true) do
      def to_h
        { ask: ask, answer: answer, equation: equation, data: data, steps: steps.map(&:to_h) }
      end
    end
  end
end
