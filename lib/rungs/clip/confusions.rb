# frozen_string_literal: true

module Rungs
  module Clip
    # What a person takes for what: of each rung, how often it was heard as which (guide 17).
    class Confusions
      RUNGS = Agreement::RUNGS
      # Counted beforehand where the next clip is chosen: for right, for a neighbour, for any other.
      PRIOR = [4, 1, 0.25].freeze
      # Clips from which a table may count in an estimate, and as how many sure ones the ear itself counts there.
      ENOUGH = 60

      # @param pairs [Array<Array(String, String)>] what a clip was and what it was heard as; off the ladder is left out
      def initialize(pairs)
        on_ladder = pairs.select { |pair| pair.all? { |code| RUNGS.include?(code) } }
        @counts = Array.new(RUNGS.size) { Array.new(RUNGS.size, 0) }
        on_ladder.each { |was, heard| @counts[RUNGS.index(was)][RUNGS.index(heard)] += 1 }
      end

      # @param counts [Array<Array<Integer>>] as they were kept
      # @return [Confusions]
      def self.of(counts)
        pairs = RUNGS.product(RUNGS).flat_map { |pair| [pair] * counts[RUNGS.index(pair[0])][RUNGS.index(pair[1])] }
        new(pairs)
      end

      # @return [Array<Array<Integer>>] rows what it was, columns what it was heard as
      attr_reader :counts

      def n = counts.flatten.sum

      # @param was [Integer] 0..4
      # @return [Float] the chance that this person takes it for another
      def mistaken(was)
        weights = counts[was].each_with_index.map { |count, heard| count + PRIOR[[(heard - was).abs, 2].min] }
        1 - (weights[was] / weights.sum.to_f)
      end

      # @param random [Random]
      # @return [String] the rung of the next clip, in proportion to that
      def next_rung(random)
        chances = RUNGS.each_index.map { |was| mistaken(was) }
        drawn = random.rand * chances.sum
        RUNGS[chances.each_index.find { |was| (drawn -= chances[was]).negative? } || (RUNGS.size - 1)]
      end

      # The table as an estimate takes it: mixed with a sure ear as n to ENOUGH. A perfect ear changes nothing.
      # @param heard, was [Integer] levels, 1 to 5
      # @return [Float] the chance of hearing one where the other was
      def chance(heard, was)
        row = counts[was - 1]
        sure = heard == was ? 1.0 : 0.0
        seen = row.sum.zero? ? sure : row[heard - 1] / row.sum.to_f
        ((n * seen) + (ENOUGH * sure)) / (n + ENOUGH)
      end

      # The same for how a child works things out: without known facts, the rungs above the highest as that one, each
      # row made 1 again.
      # @param levels [Range<Integer>] from 1
      # @return [Array<Array<Float>>] rows what it was, columns what it was heard as
      def among(levels)
        (@among ||= {})[levels.max] ||= merged(levels.max).map { |row| row.map { |each| each / row.sum } }
      end

      def enough? = n >= ENOUGH

      private

      def merged(top)
        worked = [*1..RUNGS.size - 1]
        table = Array.new(top) { Array.new(top, 0.0) }
        worked.product(worked) { |was, heard| table[[was, top].min - 1][[heard, top].min - 1] += chance(heard, was) }
        table
      end
    end
  end
end
