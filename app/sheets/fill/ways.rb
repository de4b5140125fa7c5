# frozen_string_literal: true

module Sheets
  class Fill
    # “Find all the ways.”
    class Ways < Fill
      entry id: "ways"
      ask "Find all the ways."

      private

      def rows = @turned == "one" ? (@number / 2) + 1 : @number + 1
      def row(y, high) = paper.draw(sentence("□ + □ = #{@number}", @down), y: y, height: high, unit: unit)
    end
  end
end
