# frozen_string_literal: true

module Rungs
  module Activity
    # A fact, a pause, the answer said by one child; no clock is shown and nobody races.
    class ByHeart < Kind
      entry id: "by_heart", title: "By heart", minutes: 5, finds: %w[talk doubles], usual: 6,
            paper: { recording: "parts", cutouts: %w[number_cards] },
            i_can: "I know this fact, or I can work it out.",
            roles: %i[warm_up],
            ranged: true,
            listen_for: { "count_on" => "counts on quietly", "part_whole" => "works it out from one that is known",
                          "make_ten" => "goes through ten", "known_fact" => "the answer at once, and can say why" },
            slips: %w[one_short one_over],
            easier: "Facts to five and doubles.", harder: "Facts through ten."

      option "operation", "Operation", Problem::OPERATIONS, fits: :operation
      by_hand("the first number", "the second") { |data| data[:fact].scan(/\d+/).map(&:to_i) }

      # Where no records say which: sums to ten, then through ten, of two or more each.
      PAIRS = (2..9).flat_map { |larger| (2..larger).map { |smaller| [larger, smaller] } }.freeze

      # A fact that was chosen, as an item's data.
      # @param problem [Problem] with two parts
      # @return [Hash]
      def self.data_for(problem) = { fact: problem.expression, due: nil }

      def most = facts.size

      def draw(random, count)
        facts.sample(count, random: random).map { |fact, due| { fact: fact, due: due } }
      end

      def problem_of(data) = problem("#{data[:fact]} = ?")

      def item(data)
        asked = problem_of(data)
        make(
          ask: "How many? Think first.", answer: asked.answer, problem: asked, data: data,
          shown: sentence_picture(asked.to_s),
          steps: [
            step("look", parts(asked.parts, hidden: Picture::UNKNOWN.fetch(asked.unknown)),
                 "Did you know it, or work it out?"),
            step("check", frame(asked.parts, size: asked.whole > 10 ? 20 : 10), "Is it so?"),
            step("write", parts(asked.parts), read(asked.solved.to_s), equation: asked.solved.to_s)
          ]
        )
      end

      def beyond?(data, largest)
        numbers = data[:fact].scan(/\d+/).map(&:to_i)
        (option(:operation) == "add" ? numbers.sum : numbers.max) > largest
      end

      private

      def limits = option(:operation) == "add" ? "20 together at most" : "20 at most, and no more goes than is there"

      def remade(_data, first, second)
        fits = option(:operation) == "add" ? first + second <= 20 : first.between?(second, 20)
        { fact: "#{first} #{option(:operation) == 'add' ? '+' : '−'} #{second}", due: nil } if fits
      end

      def personal? = true

      # Those due in the class, with why; where it has none, facts of two or more each.
      def facts
        @facts ||= begin
          due = settings[:facts]&.call(option(:operation)).to_a
          (due.empty? ? PAIRS.map { |pair| [pair, nil] } : due).map { |pair, why| [fact(pair.sort.reverse), why] }
        end
      end

      def fact(pair) = self.class.data_for(Problem::Pool.bare(option(:operation), *pair)).fetch(:fact)
    end
  end
end
