# frozen_string_literal: true

module Rungs
  module Picture
    # A bare equation, nothing else: its numbers and signs in a row, or words for them, an empty box for what is asked.
    #
    #   Sentence.new("8 + 5 = □")
    class Sentence
      include Kind

      # How wide a sign, a digit, a letter and a box are.
      SIGN = 0.8
      DIGIT = 0.45
      LETTER = 0.42
      BOX = 1.0

      # A number, a sign, a number and what comes out: those can stand under each other.
      STACKED = /\A(?<first>\S+) (?<sign>[+−]) (?<second>\S+) = (?<whole>\S+)\z/
      private_constant :STACKED

      # @param text [String]
      # @param down [Boolean] down the page, with a line above what comes out; longer sentences stay in a row
      def initialize(text, down: false)
        @text = text
        @stacked = down ? STACKED.match(text) : nil
      end

      # @return [Layout]
      def layout = @stacked ? stacked : in_a_row

      private

      def in_a_row
        left = 0
        marks = @text.split.map do |each|
          left += width(each)
          term(each, left, 0)
        end
        sized(marks, left, BOX)
      end

      def stacked
        first, sign, second, whole = @stacked.captures
        right = SIGN + [first, second, whole].map { |each| width(each) }.max
        over = (2 * BOX) + 0.15
        marks = [term(first, right, 0), token(sign, SIGN / 2, BOX * 1.5), term(second, right, BOX),
                 mark(:segment, x: 0, y: over, width: right, height: 0, points: [[0, over], [right, over]]),
                 term(whole, right, over + 0.15)]
        sized(marks, right, over + 0.15 + BOX)
      end

      # Numbers are placed by their middle; they need room on both sides.
      def sized(marks, wide, high)
        lay(marks, words).with(width: wide, height: high)
      end

      def words = @text.gsub("□", "a number to find")

      # A number, a sign or a box that ends at the right.
      def term(text, right, top)
        wide = width(text)
        return token(text, right - (wide / 2), top + (BOX / 2)) unless text == "□"

        mark(:cell, x: right - wide, y: top, width: wide, height: BOX)
      end

      def token(text, middle, height) = number(text, middle, height, width: 0, height: 0, state: :new)

      def width(text)
        return BOX if text == "□"

        return (text.size * LETTER) + 0.3 if text.match?(/\p{L}/)

        text.match?(/\d/) ? (text.size * DIGIT) + 0.3 : SIGN
      end
    end
  end
end
