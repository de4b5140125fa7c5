# frozen_string_literal: true

module Rungs
  module Clip
    # One invented scene: what a child is asked, says and does.
    #
    #   problem: Problem. said: Array<Said>, in order. code: the id of its rung, or off the ladder. move: an id, or nil.
    #   slip: an id, or nil. why: what it is and why, in a teacher's words. shows: which word shows it, from 0.
    Scene = Struct.new(:problem, :said, :code, :move, :slip, :why, :shows, keyword_init: true) do
      # @return [Array<Integer>] the numbers said, in order
      def numbers = said.filter_map(&:number)

      # @return [Float] seconds to the last word
      def seconds = said.sum(&:pause_s).round(1)

      # What the numbers alone may be.
      # @return [Array<Strategy::Hearing::Candidate>]
      def heard = @heard ||= numbers.empty? ? [] : Slip.heard(problem, numbers, seconds: seconds)

      # Whether its numbers fit one move and no other.
      def telling? = heard.map(&:move).uniq == [move] && !move.nil?

      def to_h
        { problem: { situation: problem.situation&.id, parts: problem.parts, whole: problem.whole,
                     unknown: problem.unknown.to_s, operation: problem.operation, band: problem.band },
          equation: problem.to_s, said: said.map(&:to_h), rung: code, move: move, slip: slip, why: why,
          telling: telling?, shows: shows, numbers: numbers, seconds: seconds }
      end
    end
  end
end
