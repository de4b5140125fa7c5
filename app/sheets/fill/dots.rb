# frozen_string_literal: true

module Sheets
  class Fill
    # “Colour them in two ways. Write how many of each.”
    class Dots < Fill
      entry id: "dots"
      ask "Colour them in two ways. Write how many of each."

      private

      def row(y, high)
        circles(y, high)
        written("□ + □ = #{@number}", y, high)
      end
    end
  end
end
