# frozen_string_literal: true

module Rungs
  module Progress
    module Groups
      # The least that so many groups can come to with nobody kept apart: then each group is a run of the members in
      # order.
      class Runs
        # @param levels [Array<Numeric>] of the members, the lowest first
        # @param sizes [Range<Integer>] of a group
        # @param most [Integer] groups there may be
        def initialize(levels, sizes, most)
          @sums = sums(levels)
          @squares = sums(levels.map { |level| level * level })
          @sizes = sizes
          @all = levels.size
          @table = [[[0.0, nil], *Array.new(@all) { [Float::INFINITY, nil] }]]
          most.times { @table << longer(@table.last) }
        end

        # @return [Float] infinite where there is no such split
        def least(number) = @table[number].last[0].round(9)

        # @return [Array<Integer>, nil] how many are in each run
        def sizes(number)
          return if least(number).infinite?

          to = @all
          number.downto(1).map { |runs| @table[runs][to][1].tap { |size| to -= size } }.reverse
        end

        private

        def sums(numbers) = numbers.reduce([0]) { |sums, number| sums << (sums.last + number) }

        # With one run more: for each end the least there is, and the size of the last run.
        def longer(before)
          (0..@all).map do |to|
            fitting = @sizes.select { |size| size <= to && before[to - size][0].finite? }
            ways = fitting.map { |size| [before[to - size][0] + cost(to - size, to), size] }
            ways.min_by(&:first) || [Float::INFINITY, nil]
          end
        end

        def cost(from, to)
          sum = @sums[to] - @sums[from]
          @squares[to] - @squares[from] - ((sum * sum) / (to - from).to_f)
        end
      end
    end
  end
end
