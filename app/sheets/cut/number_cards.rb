# frozen_string_literal: true

module Sheets
  class Cut
    # Number cards.
    class NumberCards < Cut
      entry id: "number_cards", title: "Number cards"
      size 42, 58
      choice "to", [20, 10, 5], label: "to"

      private

      def cards = [*0..@to]
      def front(number, *box) = numeral(number, *box, type: 72)

      def back(_, *box)
        nested(*box) { |x, y, radius| paper.circle(x, y, radius, color: Paper::SOFT) }
      end
    end
  end
end
