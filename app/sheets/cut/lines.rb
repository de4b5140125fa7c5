# frozen_string_literal: true

module Sheets
  class Cut
    # Number lines.
    class Lines < Cut
      entry id: "lines", title: "Number lines"
      size 176, 60
      choice "to", [20, 10, 100], label: "to"

      private

      def cards
        styles = @to == 100 ? %i[line] : %i[line track]
        (styles * 2).map { |style| Rungs::Picture::Line.new(to: @to, style: style) }
      end

      def front(line, *box) = picture(line, *box)
    end
  end
end
