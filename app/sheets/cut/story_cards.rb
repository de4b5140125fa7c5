# frozen_string_literal: true

module Sheets
  class Cut
    # Stories.
    class StoryCards < Cut
      entry id: "story_cards", title: "Stories"
      size 88, 62
      choice "seed", 1..9999, label: "set"

      private

      def cards = self.class.activity.with.items(seed: @seed, count: 8)
      def front(item, left, top, wide, _) = write(item.ask, left, top, wide)

      # Rays.
      def back(_, left, top, wide, high)
        x, y = left + (wide / 2), top + (high / 2)
        8.times do |turn|
          out = [Math.cos(turn * Math::PI / 4), Math.sin(turn * Math::PI / 4)]
          paper.line(x + (3 * out[0]), y + (3 * out[1]), x + (8 * out[0]), y + (8 * out[1]), color: Paper::SOFT)
        end
      end
    end
  end
end
