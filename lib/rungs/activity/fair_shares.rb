# frozen_string_literal: true

module Rungs
  module Activity
    # One to you and one to me: is it fair, or is one left over? Even and odd, after the pattern is seen.
    class FairShares < Kind
      entry id: "fair_shares", title: "Fair shares", minutes: 8, finds: %w[doubles parts], usual: 6,
            paper: { recording: "towers" },
            i_can: "I can share fairly and say even or odd.",
            materials: [Material.pieces(20, "counters", per: "pair", instead: "buttons, pebbles, pasta")],
            roles: %i[warm_up],
            cautions: %w[small_things food],
            listen_for: { "count_all" => "deals one by one and counts each share", "count_on" => "deals in twos",
                          "part_whole" => "“six is three and three”", "known_fact" => "says the half at once" },
            slips: %w[one_over one_short],
            easier: "To ten, dealt.", harder: "To twenty, in pairs: one on top by itself."

      option "to", "To", [10, 20], fits: :range
      option "form", "Do", %w[share sort pairs]
      by_hand("things") { |data| [data[:number]] }

      def most = option(:to) + 1

      # Each once, nothing among them: nothing shared, nobody has more.
      def draw(random, count)
        numbers = (1..option(:to)).to_a.sample(count - 1, random: random)
        numbers.insert(random.rand(0..numbers.size), 0)
        numbers = numbers.sort if option(:form) == "sort"
        numbers.map { |number| shared(number) }
      end

      def problem_of(_data) = nil

      def item(data)
        number, each, over = data.values_at(:number, :each, :over)
        make(
          ask: question(number), answer: share? ? each : kind(over), equation: nil, data: data,
          shown: objects([number], "counter", heap: true),
          tell: "Put out #{number}: #{each} each#{', and one over' if over == 1}.",
          steps: dealt(number, each, over)
        )
      end

      private

      def dealt(number, each, over)
        sum = over.zero? ? "#{each} + #{each}" : "#{each} + #{each} + #{over}"
        [
          step("look", objects([number], "counter"), share? ? "Deal them out, turn by turn." : "Two by two.",
               title: share? ? "Deal" : "In twos"),
          step("check", Picture::Towers.new(over.zero? ? [each, each] : [each, each, over]),
               share? ? shares(each, over) : "#{each} and #{each}#{', and one over' if over == 1}: #{kind(over)}."),
          step("write", Picture::Dots.new("pairs", [number]), "#{number} is #{kind(over)}.",
               equation: "#{sum} = #{number}")
        ]
      end

      def limits = "#{option(:to)} at most"
      def remade(_data, number) = (shared(number) if number <= option(:to))
      def shared(number) = { number: number, each: number / 2, over: number % 2 }

      def question(number)
        share? ? "#{many(number, 'thing')} for two children. How many does each get?" : "Is #{number} even or odd?"
      end

      def share? = option(:form) == "share"
      def kind(over) = over.zero? ? "even" : "odd"
      def shares(each, over) = "#{each} for you and #{each} for me#{', and one is over' if over == 1}."
    end
  end
end
