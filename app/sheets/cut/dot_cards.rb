# frozen_string_literal: true

module Sheets
  class Cut
    # Every arrangement of dots, with its numeral behind it.
    class DotCards < Cut
      entry id: "dot_cards", title: "Dot cards"
      size 58, 42
      choice "to", [10, 5], label: "to"

      private

      def cards
        dots = Rungs::Picture::Dots
        (1..@to).flat_map { |number| dots::ARRANGEMENTS.filter_map { |each| dots.arranged(each, number) } }
      end

      def front(dots, *box) = picture(dots, *box)
      def back(dots, *box) = numeral(dots.total, *box, type: 60)
    end
  end
end
