# frozen_string_literal: true

module Rungs
  module Picture
    # A two-pan balance that tips to the heavier side; each side a number or a sum.
    class Scale
      include Kind

      WIDTH = 11.0
      TIP = 0.9

      def self.title = "Balance"

      def self.of(problem, **)
        return unless problem.parts.size == 2

        new([problem.whole], problem.parts, hidden: problem.unknown == :whole ? :left : :right)
      end

      # The first number on the left, the others as a sum on the right.
      def self.from(numbers, **settings)
        raise Error::NotAProblem, "a balance needs a number for each side" if numbers.size < 2

        new([numbers.first], numbers.drop(1), **settings)
      end

      # @param left, right [Array<Integer>] the terms of each side
      # @param hidden [Symbol, nil] the side that is not written, :left or :right
      def initialize(left, right, hidden: nil)
        refuse "a side of a balance is a number or a sum of up to three" unless [left, right].all? { |side| side.size.between?(1, 3) && side.all? { |number| number >= 0 } }

        @sides = [left, right]
        @hidden = one_of([nil, :left, :right], hidden)
      end

      # @return [Integer] −1 where the left is heavier, 0 in balance, 1 where the right is
      def tips = @sides[1].sum <=> @sides[0].sum

      # @return [Layout]
      def layout
        drop = [-tips * TIP, tips * TIP]
        pans = [0, 1].flat_map { |side| pan(side, drop[side]) }
        beam = mark(:segment, x: 1.8, y: 2.4, width: WIDTH - 3.6, height: 0, points: [[1.9, 2.4 + drop[0]], [WIDTH - 1.9, 2.4 + drop[1]]])
        lay([mark(:stand, x: (WIDTH / 2) - 1.2, y: 2.2, width: 2.4, height: 3.6), beam, *pans], alt)
      end

      def ways = tips.zero? ? [Way.sum(*@sides[1])] : []

      private

      def pan(side, drop)
        left = side.zero? ? 0 : WIDTH - 3.8
        hidden = @hidden == %i[left right][side]
        text = hidden ? "?" : @sides[side].join(" + ")
        [mark(:pan, x: left, y: 3.4 + drop, width: 3.8, height: 0.7),
mark(:weight, x: left + 0.3, y: 2.6 + drop - 0.2, width: 3.2, height: 1, tone: %i[a b][side], text: text, state: (:hidden if hidden))]
      end

      def alt
        sides = @sides.map { |side| side.join(" + ") }
        sides[@hidden == :left ? 0 : 1] = "a hidden number" if @hidden
        "A balance: #{sides[0]} and #{sides[1]}, #{{ -1 => 'the left side down', 0 => 'level', 1 => 'the right side down' }.fetch(tips)}"
      end
    end
  end
end
