# frozen_string_literal: true

module Sheets
  class Cut
    # Number riddles.
    class RiddleCards < Cut
      entry id: "riddle_cards", title: "Number riddles"
      size 88, 100
      choice "seed", 1..9999, label: "set"

      private

      def cards = self.class.activity.with.items(seed: @seed, count: 8)

      def front(item, left, top, wide, _)
        clues = item.steps[self.class.activity.paper.fetch(:asks)].map(&:words)
        write([*clues, item.ask].join("\n"), left, top, wide)
      end

      def back(_, *box)
        nested(*box) { |x, y, half| paper.box(x - half, y - half, 2 * half, 2 * half, color: Paper::SOFT) }
      end
    end
  end
end
