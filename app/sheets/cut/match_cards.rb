# frozen_string_literal: true

module Sheets
  class Cut
    # A card for each sum, and one for its number, to be laid in pairs.
    class MatchCards < Cut
      entry id: "match_cards", title: "Sums and their numbers"
      size 58, 42
      choice "seed", 1..9999, label: "set"

      private

      def cards
        problems = self.class.activity.with.items(seed: @seed, count: 6).filter_map(&:problem).first(12)
        problems.flat_map { |problem| [problem.expression, problem.answer.to_s] }
      end

      def front(words, left, top, wide, high)
        paper.words(words, x: left + 2, y: top + (high / 2) - 5, width: wide - 4, size: 26, align: :center)
      end

      def back(_, *box)
        nested(*box) do |x, y, half|
          [[0, -half], [half, 0], [0, half], [-half, 0], [0, -half]].each_cons(2) do |from, to|
            paper.line(x + from[0], y + from[1], x + to[0], y + to[1], color: Paper::SOFT)
          end
        end
      end
    end
  end
end
