# frozen_string_literal: true

module Rungs
  module Activity
    # A trip, a feast, a market stall: each child chooses how many of what, lists and draws it, and finds the total.
    class PlanForIt < Kind
      # What is planned, and what may be brought.
      Plan = Struct.new(:for, :kinds, keyword_init: true)
      PLANS = [
        Plan.new(for: "a trip to the island", kinds: ["apple", "bun", "pear", "plum", "mitten", "small book"]),
        Plan.new(for: "a feast on the quay", kinds: ["long roll", "round roll", "apple", "plum", "lantern", "fish"]),
        Plan.new(for: "a market stall", kinds: %w[pear apple plum bun shell kite]),
        Plan.new(for: "a day at the shore", kinds: ["kite", "shell", "big book", "bun", "apple", "boat"])
      ].freeze

      entry id: "plan_for_it", title: "Plan for it", minutes: 15, finds: %w[talk], usual: 1,
            i_can: "I can choose, list and find the total.",
            materials: [Material.new(thing: "paper and pencil", per: "child", count: 1, instead: "a whiteboard")],
            listen_for: { "count_all" => "draws everything and counts from one",
                          "count_on" => "keeps one kind and counts on",
                          "part_whole" => "puts a known pair together first",
                          "make_ten" => "looks for a pair that makes ten",
                          "known_fact" => "knows the sums at once" },
            slips: %w[one_short one_over],
            easier: "Two kinds of thing.", harder: "Six kinds of thing."

      option "kinds", "Kinds of thing", [2, 3, 4, 5, 6]

      MOST_OF_ALL = 100

      def most = PLANS.size

      def draw(random, count)
        PLANS.sample(count, random: random).map do |plan|
          { for: plan.for, kinds: plan.kinds.sample(option(:kinds), random: random) }
        end
      end

      def item(data)
        make(
          ask: "Plan #{data[:for]}: how many of each will you bring, and how many things is that?",
          answer: nil, data: data, shown: one_of_each(data[:kinds]),
          paper: { sentences: ["#{(['□'] * data[:kinds].size).join(' + ')} = □"] },
          steps: [
            step("look", one_of_each(data[:kinds]), "Choose how many of each. List them and draw them.",
                 title: "Choose"),
            step("check", sentence_picture("#{(['□'] * data[:kinds].size).join(' + ')} = □"),
                 "How many things is that? There is no wrong choice."),
            step("write", one_of_each(data[:kinds]), "Read your list, and say the total.")
          ]
        )
      end

      # @param input [Array<Integer>, String] how many of each kind a child chose
      # @return [Picture::Way] what is listed, with its total
      def way(item, input)
        chosen = (input.is_a?(Array) ? input : input.to_s.scan(/\d+/)).map { |each| Integer(each, exception: false) }
        kinds = item.data[:kinds]
        fits = chosen.size == kinds.size && chosen.all? { |number| number && !number.negative? }
        refuse("say how many of each: #{kinds.join(', ')}") unless fits
        refuse("#{MOST_OF_ALL} things at most") if chosen.sum > MOST_OF_ALL
        written("#{chosen.join(' + ')} = #{chosen.sum}")
      end

      private

      def one_of_each(kinds) = objects([1] * kinds.size, kinds)
    end
  end
end
