# frozen_string_literal: true

module Rungs
  module Picture
    # Words to be said, as lines on a slip of paper: what stands for them in a list.
    class Lines
      include Kind

      LETTERS = 24
      MOST = 4
      WIDE = 5.0
      EDGE = 0.8

      # @param words [String]
      def initialize(words)
        @words = words
      end

      # @return [Layout] as many lines as the words fill, the last one short
      def layout
        many = (@words.size / LETTERS.to_f).ceil.clamp(2, MOST)
        slip = mark(:mat, x: 0, y: 0, width: WIDE + (2 * EDGE), height: many + EDGE)
        lay([slip, *(0...many).map { |row| line(row, row == many - 1 ? WIDE / 2 : WIDE) }], @words)
      end

      private

      def line(row, wide)
        y = row + EDGE
        mark(:segment, x: EDGE, y: y, width: wide, height: 0, points: [[EDGE, y], [EDGE + wide, y]])
      end
    end
  end
end
