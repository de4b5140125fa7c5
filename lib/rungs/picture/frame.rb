# frozen_string_literal: true

module Rungs
  module Picture
    # Five-, ten- and double-ten-frames, and those of 15 (three rows) and 30 (three tens). Filled left to right, top row first (by fives), or
    # two by two in columns (by pairs). Two addends get two kinds of counter. Taking away strikes out the last
    # counters placed, so that what remains keeps its shape.
    #
    #   Frame.new([9, 5]).layout.counters.size  # => 14
    class Frame
      SIZES = [5, 10, 15, 20, 30].freeze
      GAP = 0.7

      attr_reader :parts, :size, :fill, :struck

      # @param parts [Array<Integer>] how many of each kind
      # @param size [Integer, nil] places; by default 10, or as many as are needed
      # @param fill [Symbol] :fives or :pairs
      # @param struck [Integer] how many of the last are crossed out
      # @raise [Error::NotAProblem] where they do not fit
      def initialize(parts, size: nil, fill: :fives, struck: 0)
        @parts = parts
        @size = size || [10, 20, 30].find { |each| each >= parts.sum }
        @fill = fill
        @struck = struck
        raise Error::NotAProblem, "#{parts.sum} counters do not fit into a frame of #{@size || SIZES.max}" unless SIZES.include?(@size) && parts.sum <= @size
        raise Error::NotAProblem, "#{struck} cannot leave when there are #{parts.sum}" if struck > parts.sum
      end

      # @return [Layout]
      def layout = Layout.new(width: places.map(&:first).max + 1, height: places.map(&:last).max + 1, marks: cells + counters, alt: alt)

      # @return [Array<Array(Numeric, Integer)>] column and row of each place, in the order of filling
      def places = @places ||= (0...size).map { |slot| size == 15 ? [slot % 5, slot / 5] : place(slot % 10, slot / 10) }

      private

      def place(slot, frame)
        column, row = fill == :pairs && size > 5 ? [slot / 2, slot % 2] : [slot % 5, slot / 5]
        [(frame * (5 + GAP)) + column, row]
      end

      def cells = places.map { |x, y| Mark.new(shape: :cell, x: x, y: y) }

      def counters
        kinds = parts.each_with_index.flat_map { |number, group| [group] * number }
        kinds.zip(places).each_with_index.map do |(group, (x, y)), index|
          Mark.new(shape: :counter, x: x, y: y, tone: group.even? ? :a : :b, group: group, order: index + 1, state: (:struck if index >= parts.sum - struck))
        end
      end

      def alt
        filled = parts.sum.zero? ? "empty" : parts.join(" and ")
        "#{size == 20 ? 'Two ten-frames' : "A frame of #{size}"}: #{filled}#{", #{struck} crossed out" if struck.positive?}"
      end
    end
  end
end
