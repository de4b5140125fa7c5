# frozen_string_literal: true

module Rungs
  module Picture
    # A bare equation, nothing else: its numbers and signs in a row, an empty box for what is asked.
    #
    #   Sentence.new("8 + 5 = □")
    class Sentence
      include Kind

      # How wide a sign, a digit and a box are.
      SIGN, DIGIT, BOX = 0.8, 0.45, 1.0

      # @param text [String]
      def initialize(text)
        @text = text
      end

      # @return [Layout]
      def layout
        left = 0
        marks = @text.split.map do |each|
          wide = width(each)
          left += wide
          each == "□" ? mark(:cell, x: left - wide, y: 0, width: wide, height: BOX) : token(each, left - (wide / 2))
        end
        lay(marks, @text.gsub("□", "a number to find")).tap { |layout| layout.width = left }
      end

      private

      def token(text, middle) = number(text, middle, BOX / 2, width: 0, height: 0, state: :new)

      def width(text)
        return BOX if text == "□"

        text.match?(/\d/) ? (text.size * DIGIT) + 0.3 : SIGN
      end
    end
  end
end
