# frozen_string_literal: true

module Rungs
  module Strategy
    # How a move is acted out, whatever the picture: groups are gathered, some of them are taken away or moved across, a
    # number is broken. Pictures draw the scenes that follow from it and ask for no move.
    #
    #   Acting.new(gathered: [[14]], taken: [4, 5]).scenes.map(&:taken)  # => [0, 4, 5]
    class Acting
      # One stage. parts: the sizes of the groups that are there. taken: how many of them have left, the last ones, or
      # the first where of_first is true. moved: how many of the second group have moved across to the first. apart:
      # whether the groups are kept apart until then. counted: whether each was marked as it was counted. matched:
      # whether the groups are two rows to compare.
      Scene = Struct.new(:parts, :taken, :of_first, :moved, :apart, :counted, :matched, keyword_init: true) do
        def total = parts.sum
        def left? = taken.positive?

        # The groups once what moves has moved.
        def settled = moved.zero? ? parts : [parts[0] + moved, parts[1] - moved]
      end

      # A sum is gathered; from a whole its part is taken.
      PLAIN = lambda do |problem|
        problem.add? ? { gathered: [problem.addends] } : { gathered: [[problem.whole]], taken: [problem.given] }
      end
      # One number after the other: the first is there, the second comes.
      JOINED = ->(problem) { { gathered: [problem.addends.take(1), problem.addends] } }
      # The part that is given, then what is missing beside it.
      BUILT_UP = ->(problem) { { gathered: [[problem.given], [problem.given, problem.sought]] } }

      # @return [Array(Integer, Array<Integer>), nil] the place of the part that is broken, and its pieces
      attr_reader :broken

      # @param gathered [Array<Array<Integer>>] the groups that are there, stage after stage
      # @param taken [Array<Integer>] then, how many of the last stage have left in all, stage after stage
      # @param from [Symbol] :last or :first: which of them leave
      # @param moved [Integer] then, how many of the second group move across to the first
      # @param broken [Array(Integer, Array<Integer>), nil]
      # @param counted [Boolean] whether everything is counted at the end, each thing marked
      # @param matched [Boolean] whether the groups are two rows to compare
      def initialize(gathered:, taken: [], from: :last, moved: 0, broken: nil, counted: false, matched: false)
        @gathered = gathered
        @taken = taken
        @from = from
        @moved = moved
        @broken = broken
        @counted = counted
        @matched = matched
        freeze
      end

      # @return [Array<Scene>] stage after stage, at least one
      def scenes
        last = @gathered.last
        all = @gathered.map { |parts| scene(parts) }
        all += @taken.map { |count| scene(last, taken: count) }
        all << scene(last, moved: @moved) if @moved.positive?
        all << scene(last, counted: true) if @counted
        all
      end

      private

      def scene(parts, taken: 0, moved: 0, counted: false)
        Scene.new(parts: parts, taken: taken, of_first: @from == :first, moved: moved, apart: @moved.positive?,
                  counted: counted,
                  matched: @matched).freeze
      end
    end
  end
end
