# frozen_string_literal: true

module Sheets
  class Fill
    # “Draw the counters. Write the sentence.”
    class Frame < Fill
      entry id: "frame"
      ask "Draw the counters. Write the sentence."

      private

      def row(y, high)
        size = [5, 10, 20, 30].find { |places| places >= @number }
        drawn(Rungs::Picture::Frame.new([0], size: size), y, high)
        written("□ + □ = □", y, high)
      end
    end
  end
end
