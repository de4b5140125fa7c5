# frozen_string_literal: true

module Sheets
  class Fill
    # “Colour one more on each rung. Write the sentence.”
    class Ladder < Fill
      entry id: "ladder"
      ask "Colour one more on each rung. Write the sentence."

      private

      def rows = @number + 1
      def least = LEAST

      # Every rung is as long as the number; the sentence stays in a row, or the rungs would not meet.
      def row(y, high)
        side = [paper.width * 0.6 / @number, high + 3, LARGEST].min
        @number.times { |index| paper.box(index * side, y - 1.5 + ((high + 3 - side) / 2), side, side) }
        written("□ + □ = #{@number}", y, high, down: false)
      end
    end
  end
end
