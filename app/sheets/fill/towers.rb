# frozen_string_literal: true

module Sheets
  class Fill
    # “Colour the tower in two ways. Write how many of each.”
    class Towers < Fill
      entry id: "towers"
      ask "Colour the tower in two ways. Write how many of each."

      private

      def row(y, high)
        coloured(y, high, gap: 0) { |x, top, side| paper.box(x, top, side, side) }
        written("□ + □ = #{@number}", y, high)
      end
    end
  end
end
