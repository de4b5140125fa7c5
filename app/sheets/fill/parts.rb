# frozen_string_literal: true

module Sheets
  class Fill
    # “Write the whole and its parts.”
    class Parts < Fill
      entry id: "parts"
      ask "Write the whole and its parts."

      private

      def rows = 4

      def row(y, high)
        drawn(Rungs::Picture::Parts.new([0, 0], show: :dots, place: @whole), y, high)
        written("□ + □ = □", y, high)
      end
    end
  end
end
