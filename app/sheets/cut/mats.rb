# frozen_string_literal: true

module Sheets
  class Cut
    # Places to cover, in rows as long as each other.
    class Mats < Cut
      entry id: "mats", title: "Mats for two dice"
      size 86, 86

      private

      def cards = [9, 9, 9, 12].map { |places| self.class.activity.with("places" => places).figures[:mat] }

      def front(totals, left, top, wide, _)
        columns = totals.size == 9 ? 3 : 4
        side = (wide - 8) / columns
        totals.each_with_index do |total, index|
          x, y = left + 4 + ((index % columns) * side), top + 4 + ((index / columns) * side)
          paper.circle(x + (side / 2), y + (side / 2), side * 0.44)
          numeral(total, x, y, side, side, type: side * 1.1)
        end
      end
    end
  end
end
