# frozen_string_literal: true

module Rungs
  module Clip
    # How alike two people heard the same answers (guide 17): who said what, the share alike, Cohen's kappa and kappa
    # with quadratic weights, each with an interval by drawing the answers again.
    #
    #   Agreement.new([Pair.new(item: "Ada, 9 + 5", a: "count_on", b: "make_ten"), …]).kappa
    #
    # Cohen 1960, Educational and Psychological Measurement 20; Cohen 1968, Psychological Bulletin 70.
    class Agreement
      # item: whatever names the answer. a, b: String, the codings: ids of rungs or off the ladder.
      Pair = Struct.new(:item, :a, :b, keyword_init: true) do
        def alike? = a == b
      end

      # Answers from which figures are given; draws; percentiles, by nearest rank.
      LEAST = 20
      DRAWS = 2000
      PERCENTILES = [0.025, 0.975].freeze
      RUNGS = Strategy::Rung::ALL.ids.freeze
      SIZE = RUNGS.size

      # @param pairs [Array<Pair>] that both coded
      # @param seed [Integer] of the draws
      # @raise [Error::Unknown] where a coding is none
      def initialize(pairs, seed: 1)
        unknown = pairs.flat_map { |pair| [pair.a, pair.b] } - CODES
        refuse(unknown.first) if unknown.any?
        @pairs = pairs
        @seed = seed
        @coded = pairs.select { |pair| RUNGS.include?(pair.a) && RUNGS.include?(pair.b) }
        @cells = @coded.map { |pair| (RUNGS.index(pair.a) * SIZE) + RUNGS.index(pair.b) }
      end

      # @return [Integer] answers that both put on the ladder
      def n = @cells.size

      # @return [Array<Array<Integer>>] rows as a said it, columns as b did
      def counts = tally(@cells).each_slice(SIZE).to_a

      # @return [Integer] answers that one or both put off the ladder
      def off_ladder = @pairs.size - n

      # @return [Array<Pair>] to talk about
      def differences = @pairs.reject(&:alike?)

      # @return [Float, nil] the share of n on which both said the same
      def alike = n.zero? ? nil : @coded.count(&:alike?) / n.to_f

      def enough? = n >= LEAST

      # @return [Float, nil] nil with too few answers, or where chance alone would agree on all
      def kappa = enough? ? of(tally(@cells), PLAIN) : nil
      def weighted = enough? ? of(tally(@cells), QUADRATIC) : nil

      # @return [Array(Float, Float), nil]
      def kappa_interval = interval(0)
      def weighted_interval = interval(1)

      # How far apart two codings are: alike or not; by the square of their distance.
      APART = Array.new(SIZE * SIZE) { |cell| (cell / SIZE) - (cell % SIZE) }.freeze
      PLAIN = APART.map { |far| far.zero? ? 0 : 1 }.freeze
      QUADRATIC = APART.map { |far| far * far }.freeze
      private_constant :APART, :PLAIN, :QUADRATIC

      private

      def refuse(code)
        raise Error::Unknown, "there is no coding “#{code}”; there are #{CODES.join(', ')}"
      end

      def tally(cells)
        cells.each_with_object(Array.new(SIZE * SIZE, 0)) { |cell, counts| counts[cell] += 1 }
      end

      # One less the disagreement there is by that which chance would make of the same margins.
      # @param counts [Array<Integer>] by cell
      # @param weights [Array<Integer>] by cell
      def of(counts, weights)
        rows = Array.new(SIZE) { |row| counts[row * SIZE, SIZE].sum }
        columns = Array.new(SIZE) { |column| (0...SIZE).sum { |row| counts[(row * SIZE) + column] } }
        seen = expected = 0
        weights.each_with_index do |weight, cell|
          next if weight.zero?

          seen += weight * counts[cell]
          expected += weight * rows[cell / SIZE] * columns[cell % SIZE]
        end
        expected.zero? ? nil : 1 - (seen * counts.sum / expected.to_f)
      end

      def interval(which)
        drawn = draws[which] if enough?
        return if drawn.nil? || drawn.empty?

        PERCENTILES.map { |share| drawn[(share * drawn.size).ceil - 1] }
      end

      # Both kappas of so many samples of the answers, sorted; those that have none are left out.
      def draws
        @draws ||= begin
          random = Random.new(@seed)
          samples = Array.new(DRAWS) { tally(Array.new(n) { @cells[random.rand(n)] }) }
          [PLAIN, QUADRATIC].map { |weights| samples.filter_map { |counts| of(counts, weights) }.sort }
        end
      end
    end
  end
end
