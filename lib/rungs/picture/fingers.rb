# frozen_string_literal: true

module Rungs
  module Picture
    # Two hands, 0 to 10, five-and-some: the first hand fills before the second, thumbs inward.
    class Fingers
      include Kind

      settings :up

      # How high each finger stands, from the thumb to the little finger, and one that is folded, in units.
      HEIGHTS = [1.3, 2.0, 2.2, 2.0, 1.5].freeze
      FOLDED = 0.5
      HAND = 5.4

      def self.of(problem, **)
        shown = problem.shown_parts
        return new(shown) if shown.size == 2 && shown.max <= 5

        shown.sum <= 10 ? new([shown.sum]) : nil
      end

      # Counting on by ones, a finger for each word.
      def self.act(path, problem, **)
        return [] unless path.rung == 2 && path.by_ones? && path.counts <= 10 && problem.shape == :two

        (1..path.counts).map { |up| new([up]).layout }
      end

      # @param parts [Array<Integer>] one number to 10, or two to 5, one on each hand
      # @param up [Array<Integer>, nil] which fingers those are; from each thumb on where it is not said
      # @raise [Error::NotAProblem]
      def initialize(parts, up: nil)
        fits = parts.size == 1 ? parts[0].between?(0, 10) : parts.size == 2 && parts.all? { |part| part.between?(0, 5) }
        refuse "two hands show 0 to 10, each hand 0 to 5" unless fits

        @parts = parts
        @up = up
      end

      # Whichever fingers are up, from 0, thumb first on each hand.
      # @return [Fingers]
      def self.showing(up)
        parts = up.partition { |finger| finger < 5 }.map(&:size)
        new(parts, up: up)
      end

      # @return [Array<Integer>] the fingers that are up
      def up
        @up ||= hands.each_with_index.flat_map { |number, hand| [*0...number].map { |finger| (hand * 5) + finger } }
      end

      # @return [Layout]
      def layout
        marks = [0, 1].flat_map { |hand| palm(hand) + fingers(hand) }
        lay(marks, "Hands showing #{@parts.join(' and ')}")
      end

      def ways = hands.all?(&:positive?) ? [Way.sum(*hands)] : []

      private

      def hands = @parts.size == 2 ? @parts : [[@parts[0], 5].min, [@parts[0] - 5, 0].max]
      def palm(hand) = [mark(:palm, x: (hand * HAND) + 0.25, y: 2.3, width: 3.6, height: 2)]

      # Up from the thumb, as most children do; the second hand is the first in a mirror.
      def fingers(hand)
        (0...5).map do |index|
          finger = (hand * 5) + index
          raised = up.include?(finger)
          column = hand.zero? ? 4 - index : index
          high = raised ? HEIGHTS[index] : FOLDED
          mark(:finger, x: (hand * HAND) + (column * 0.8) + 0.1, y: 2.6 - high, width: 0.66, height: high + 0.2,
                        group: hand,
                        order: (up.index(finger) + 1 if raised), state: (:hidden unless raised))
        end
      end
    end
  end
end
