# frozen_string_literal: true

module Rungs
  module Picture
    # Number cards side by side, with dots to count below the numeral or without.
    class Cards
      include Kind

      # @param numbers [Array<Integer>] two or three, 20 together at most where they have dots
      # @param dots [Boolean]
      def initialize(numbers, dots: true)
        @numbers = numbers
        @dots = dots
      end

      # The parts of a whole, without the whole.
      # @return [Layout]
      def layout
        nodes = Parts.new(@numbers, show: @dots ? :both : :numbers).layout.marks.select { |mark| mark.shape == :node }
        lay(nodes.drop(1).map { |node| node.shifted(0, -Parts::DOWN) }, "Cards: #{@numbers.join(' and ')}")
      end
    end
  end
end
