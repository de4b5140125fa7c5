# frozen_string_literal: true

module Rungs
  module Picture
    # A two-pan balance that tips to the heavier side; each side a number or a sum.
    class Scale
      include Kind

      settings :hidden, :weights, :joined

      WIDTH = 11.0
      PAN = 3.8
      TIP = 0.9
      # How high the beam is, level, how far below its ends the pans hang, and where the stand is at rest.
      BEAM = 1.2
      HANG = 2.2
      FOOT = 5.8
      MOST = 3
      TIPPED = { -1 => "the left side down", 0 => "level", 1 => "the right side down" }.freeze

      def self.title = "Balance"

      def self.of(problem, **)
        return across(problem, "?") if problem.two_sided?

        return unless problem.parts.size == 2

        new([problem.whole], problem.parts,
            hidden: problem.unknown == :whole ? :left : :right)
      end

      # Both sides sums: level with a box in it, then with the number that keeps it level.
      def self.act(path, problem, **)
        return [] unless problem.two_sided? && path.move.draws == :scale

        ["?", problem.answer].map { |number| across(problem, number).layout }
      end

      # A problem with sums on both sides, level, with this in its box.
      # @param box [Integer, String]
      def self.across(problem, box)
        sides = [problem.equation.left, problem.equation.right]
        terms = sides.map { |side| side.map { |term| term.box? ? box : term.number } }
        new(*terms, weights: [problem.whole, problem.whole])
      end

      # The first number on the left, the others as a sum on the right.
      def self.from(numbers, **settings)
        raise Error::NotAProblem, "a balance needs a number for each side" if numbers.size < 2

        new([numbers.first], numbers.drop(1), **settings)
      end

      # @param left, right [Array<Integer>] the terms of each side; a term may be a sign for a number that is not known
      # @param hidden [Symbol, nil] the side that is not written, :left or :right
      # @param weights [Array<Integer>] what each side weighs, where a term is not known
      # @param joined [String] what stands between the terms of a side
      def initialize(left, right, hidden: nil, weights: nil, joined: "+")
        @joined = joined
        sides = [left, right]
        fits = sides.all? { |side| side.size.between?(0, MOST) && side.grep(Integer).all? { |number| number >= 0 } }
        refuse "a side of a balance is a number or a sum of up to three" unless fits

        @sides = sides
        @hidden = one_of([nil, :left, :right], hidden, "side")
        @given = !weights.nil?
        @weights = weights || sides.map(&:sum)
      end

      attr_reader :sides

      # Whether a number on it is not known.
      def unknown? = !@hidden.nil? || @given || !@sides.flatten.all?(Integer)

      # @return [Integer] −1 where the left is heavier, 0 in balance, 1 where the right is
      def tips = @weights[1] <=> @weights[0]

      # @return [Layout]
      def layout
        drop = [-tips * TIP, tips * TIP]
        pans = [0, 1].flat_map { |side| pan(side, drop[side]) }
        ends = [PAN / 2.0, WIDTH - (PAN / 2.0)]
        beam = mark(:segment, x: ends[0], y: BEAM, width: WIDTH - PAN, height: 0,
                              points: ends.zip(drop).map { |x, down| [x, BEAM + down] })
        lay([mark(:stand, x: (WIDTH / 2) - 1.2, y: BEAM - 0.2, width: 2.4, height: FOOT - BEAM + 0.2), beam, *pans],
            alt)
      end

      def ways = tips.zero? && @sides[1].all?(Integer) ? [Way.sum(*@sides[1])] : []

      private

      def pan(side, drop)
        left = side.zero? ? 0 : WIDTH - PAN
        level = BEAM + HANG + drop
        hung = [*strings(left, BEAM + drop, level), mark(:pan, x: left, y: level, width: PAN, height: 0.7)]
        return hung if @sides[side].empty?

        hidden = @hidden == %i[left right][side]
        [*hung, mark(:weight, x: left + 0.3, y: level - 1, width: PAN - 0.6, height: 1, tone: %i[a b][side],
                              group: side,
                              text: hidden ? "?" : written(side), state: (:hidden if hidden))]
      end

      # From the end of the beam to both edges of the pan.
      def strings(left, from, to)
        middle = left + (PAN / 2.0)
        [left + 0.1, left + PAN - 0.1].map do |edge|
          mark(:segment, x: [edge, middle].min, y: from, width: (edge - middle).abs, height: to - from,
                         points: [[middle, from], [edge, to]])
        end
      end

      def written(side) = @sides[side].join(" #{@joined} ")

      def alt
        sides = [0, 1].map { |side| @sides[side].empty? ? "nothing" : written(side).sub("?", "a number to find") }
        sides[@hidden == :left ? 0 : 1] = "a hidden number" if @hidden
        "A balance: #{sides[0]} and #{sides[1]}, #{TIPPED.fetch(tips)}"
      end
    end
  end
end
