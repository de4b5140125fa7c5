# frozen_string_literal: true

module Rungs
  module Activity
    # Two sorts of thing: each side counted, then all in one count, each thing marked once.
    class TwoGroups < Kind
      THINGS = %w[shell apple boat button kite lantern mitten crab fish bun].freeze

      entry id: "two_groups", title: "Two groups together", minutes: 8, finds: %w[put_together], usual: 6,
            paper: { recording: "parts", cutouts: %w[number_cards] },
            i_can: "I can put two groups together and say how many.",
            materials: [Material.pieces(20, "counters", per: "child", instead: "pencils, caps, bottle tops, sticks")],
            suits: { add: %w[to5 to10 teens bridge], rungs: [1, 2, 3], ten: %w[to10 bridge] },
            cautions: %w[small_things],
            listen_for: { "count_all" => "counts the second set from one again",
                          "count_on" => "holds the first: “nine … ten, eleven”",
                          "part_whole" => "“five and two, and two more”", "make_ten" => "“nine and one is ten”",
                          "known_fact" => "says it at once" },
            slips: %w[one_short one_over start_counted],
            easier: "To five, in rows.", harder: "To twenty, in heaps, the smaller first."

      option "to", "To", [10, 5, 20], fits: :range
      option "thing", "Things", THINGS
      option "lie", "They lie", %w[heaps rows dice]
      option("covered", "Covered", %w[none first]) { |which| which == "none" ? "nothing" : "the first, once counted" }
      by_hand("here", "there") { |data| data.values_at(:first, :second) }

      def most = pairs.size

      def draw(random, count)
        pairs.sample(count, random: random).map do |pair|
          first, second = covered? ? pair.reverse : pair.shuffle(random: random)
          { first: first, second: second, thing: option(:thing) }
        end
      end

      def problem_of(data) = problem("#{data[:first]} + #{data[:second]} = ?")

      def item(data)
        first, second, thing = data.values_at(:first, :second, :thing)
        whole = first + second
        make(
          ask: "Some here and some there. How many #{thing == 'fish' ? 'fish' : "#{thing}s"} altogether?",
          answer: whole, problem: problem_of(data), data: data,
          shown: lying([first, second], thing), tell: "Put out #{first} here and #{second} there: #{whole} altogether.",
          steps: [
            step("look", lying([first, second], thing), "How many are here? And how many there?"),
            *(covered? ? counted_on(first, second, thing) : [counted(first, second, thing)]),
            step("write", line(first, [whole]), "#{first} and #{second} is #{whole}.",
                 equation: "#{first} + #{second} = #{whole}")
          ]
        )
      end

      private

      def limits = "#{option(:to)} together at most#{', 6 each as on dice' if option(:lie) == 'dice'}"

      def covered? = option(:covered) == "first"

      def counted(first, second, thing)
        step("check", objects([first, second], thing, ticked: first + second, joined: true),
             "Pushed together. One count, each marked once: #{first + second}.", title: "Push together")
      end

      # The first lies under its number, and the count goes on from it; lifted only to check.
      def counted_on(first, second, thing)
        under, said = { covered: true }, Rungs.capital(word(first))
        [step("look", objects([first, second], thing, **under), "#{said} under here. Go on from it.", title: "Cover"),
         step("check", objects([first, second], thing, ticked: first + second, **under),
              "#{said} … #{[*first + 1..first + second].map { |each| word(each) }.join(', ')}.",
              title: "Count on"),
         step("check", objects([first, second], thing, ticked: first + second), "Lift the cover: is it so?",
              title: "Lift")]
      end

      def remade(data, first, second)
        fits = first + second <= option(:to) && (option(:lie) != "dice" || [first, second].max <= 6)
        { **data, first: first, second: second } if fits
      end

      # Each fact once, whichever way round; as on dice, to six.
      def pairs
        @pairs ||= begin
          most = option(:lie) == "dice" ? 6 : option(:to)
          all = (1..most).flat_map { |first| (first..most).map { |second| [first, second] } }
          all.select { |pair| pair.sum <= option(:to) }
        end
      end

      def lying(numbers, thing)
        case option(:lie)
        when "dice" then Picture::Dots.new("domino", numbers)
        else objects(numbers, thing, heap: option(:lie) == "heaps")
        end
      end
    end
  end
end
