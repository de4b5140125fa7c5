# frozen_string_literal: true

module Rungs
  module Activity
    # Two cards are turned up: how many altogether? Dealt through the pack, without putting back.
    class TwoCards < Kind
      entry id: "two_cards", title: "Two cards", minutes: 8, finds: %w[games put_together], usual: 6,
            paper: { cutouts: %w[number_cards] },
            i_can: "I can start from the larger number.",
            materials: [Material.new(thing: "pack of number cards", per: "pair", count: 1,
                                     instead: "numbers on slips of paper")],
            roles: %i[practise],
            ranged: true,
            listen_for: { "count_all" => "touches every dot on both cards", "count_on" => "“seven … eight, nine”",
                          "part_whole" => "“five and two, and two”",
                          "make_ten" => "“eight and two is ten, and one more”",
                          "known_fact" => "says it at once" },
            slips: %w[start_counted one_short one_over],
            easier: "Cards to five, with dots.", harder: "Cards to ten, without dots."

      option "cards", "Cards", %w[0-10 1-5], fits: :within, reach: ->(cards) { 2 * cards.split("-").last.to_i }
      option "each", "Of each", %w[four one]
      option "dots", "Dots to count", %w[yes no]
      by_hand("one card", "the other") { |data| data[:cards] }

      EACH = { "four" => 4, "one" => 1 }.freeze

      def most = pack.size / 2

      def draw(random, count) = pack.shuffle(random: random).each_slice(2).first(count).map { |cards| { cards: cards } }

      def problem_of(data) = problem("#{data[:cards].join(' + ')} = ?")

      def item(data)
        one, other = data[:cards]
        total, larger = one + other, data[:cards].max
        make(
          ask: "#{one} and #{other}: how many altogether?", answer: total, problem: problem_of(data),
          data: data, shown: laid(data[:cards]), falls: true,
          steps: [
            step("look", laid(data[:cards]), one == other ? "What do you see?" : "Which is the larger?"),
            step("check", line(larger, total == larger ? [] : [total]), "From #{larger}, count only the jumps."),
            step("write", frame(data[:cards], size: total > 10 ? 20 : 10), "#{one} and #{other} is #{total}.",
                 equation: "#{one} + #{other} = #{total}")
          ]
        )
      end

      private

      def limits = "there are cards from #{pack.min} to #{pack.max}#{', one of each' if option(:each) == 'one'}"

      def remade(_data, *cards)
        { cards: cards } if (cards - pack).empty? && (cards.uniq.size == 2 || EACH.fetch(option(:each)) > 1)
      end

      def pack = Range.new(*option(:cards).split("-").map(&:to_i)).to_a * EACH.fetch(option(:each))
      def laid(cards) = Picture::Cards.new(cards, dots: option(:dots) == "yes")
    end
  end
end
