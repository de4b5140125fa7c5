# frozen_string_literal: true

module Rungs
  module Progress
    # The whole addition square, or its subtraction twin: which rung is the least work for each fact, and how much it
    # saves over the next lower one.
    #
    #   Square.new(10).at(9, 5).rung  # => 4
    class Square
      Cell = Struct.new(:p, :q, :rung, :saves, keyword_init: true)

      attr_reader :size, :cells

      # @param size [Integer] p and q go from 0 to it
      # @param unknown [Symbol] :whole for adding; :second for w − p = q
      def initialize(size, unknown: :whole)
        @size = size
        @cells = (0..size).flat_map { |p| (0..size).map { |q| cell(p, q, unknown) } }.freeze
      end

      def at(p, q) = cells[(p * (size + 1)) + q]

      private

      def cell(p, q, unknown)
        pull = Strategy::Pull.new(Problem.new(parts: [p, q], unknown: unknown))
        Cell.new(p: p, q: q, rung: pull.rung, saves: pull.saves)
      end
    end
  end
end
