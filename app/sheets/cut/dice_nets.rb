# frozen_string_literal: true

module Sheets
  class Cut
    # Dice to fold.
    class DiceNets < Cut
      entry id: "dice_nets", title: "Dice to fold"
      size 150, 120

      private

      def cards = [1, 2]
      def front(_, *box) = DiceNet.new(paper).draw(*box)
    end
  end
end
