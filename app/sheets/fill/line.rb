# frozen_string_literal: true

module Sheets
  class Fill
    # “Draw the jumps. Write the sentence.”
    class Line < Fill
      entry id: "line"
      ask "Draw the jumps. Write the sentence."

      private

      def row(y, high)
        drawn(Rungs::Picture::Line.new(to: Rungs::Picture::Line.reach(@number)), y, high)
        written("□ + □ = □", y, high)
      end
    end
  end
end
