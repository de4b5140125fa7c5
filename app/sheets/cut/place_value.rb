# frozen_string_literal: true

module Sheets
  class Cut
    # Ones are one wide, tens two, a hundred three: laid over each other from the right, they make a number.
    class PlaceValue < Cut
      entry id: "place_value", title: "Place-value cards"
      size 28, 34

      private

      ROWS = [[*1..6], [*7..9, 100], [10, 20, 30], [40, 50, 60], [70, 80, 90]].freeze
      private_constant :ROWS

      def body
        ROWS.each_with_index do |row, index|
          row.inject(0) { |x, number| x + card(number, x, index * (high + 4)) + 2 }
        end
      end

      # @return [Integer] how wide it is
      def card(number, x, y)
        digits = number.to_s.chars
        paper.box(x, y, wide * digits.size, high, color: Paper::LINE)
        digits.each_with_index { |digit, at| numeral(digit, x + (at * wide), y, wide, high, type: 60) }
        wide * digits.size
      end
    end
  end
end
