# frozen_string_literal: true

module Sheets
  class Cut
    # Dominoes.
    class Dominoes < Cut
      entry id: "dominoes", title: "Dominoes"
      size 56, 29
      choice "to", [6, 9], label: "to"

      private

      def cards = (0..@to).to_a.repeated_combination(2).map { |pair| Rungs::Picture::Dots.new("domino", pair) }
      def front(dots, *box) = picture(dots, *box, inset: 2)
    end
  end
end
