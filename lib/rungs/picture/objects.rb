# frozen_string_literal: true

module Rungs
  module Picture
    # A row of one story thing in fives, each part in rows of its own; each thing can be struck through. Both parts of a
    # sum stand apart, so that children see two sets put together.
    class Objects
      ROW = 10
      GAP = 0.35

      # @param parts [Array<Integer>] how many of each kind
      # @param thing [String] what they are ("kite")
      # @param struck [Integer] how many of the last are struck through
      # @raise [Error::NotAProblem]
      def initialize(parts, thing: "counter", struck: 0)
        raise Error::NotAProblem, "#{struck} cannot leave when there are #{parts.sum}" if struck > parts.sum

        @parts = parts
        @thing = thing
        @struck = struck
      end

      # @return [Layout]
      def layout
        marks = objects
        Layout.new(width: marks.map { |mark| mark.x + 1 }.max || 1, height: marks.map { |mark| mark.y + 1 }.max || 1, marks: marks, alt: alt)
      end

      private

      def objects
        top, order = 0, 0
        @parts.each_with_index.flat_map do |number, group|
          set = (0...number).map { |index| object(index, group, top, order += 1) }
          top += (number / ROW.to_f).ceil + GAP if number.positive?
          set
        end
      end

      def object(index, group, top, order)
        column = index % ROW
        Mark.new(shape: :thing, x: column + (column >= 5 ? GAP : 0), y: top + (index / ROW), tone: group.even? ? :a : :b, group: group, order: order,
                 state: (:struck if order > @parts.sum - @struck), text: @thing)
      end

      def alt = "#{@parts.join(' and ')} in rows#{", #{@struck} struck through" if @struck.positive?}"
    end
  end
end
