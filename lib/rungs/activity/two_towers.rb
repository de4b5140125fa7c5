# frozen_string_literal: true

module Rungs
  module Activity
    # Two towers side by side on one level: which has more, and how many more? What stands over is counted.
    class TwoTowers < Kind
      entry id: "two_towers", title: "Two towers", minutes: 8, finds: %w[take_away parts], usual: 6,
            paper: { recording: "towers", cutouts: %w[strips] },
            i_can: "I can say how many more one tower has.",
            materials: [Material.pieces(20, "linking cubes", per: "pair",
                                                             instead: "blocks, or squares coloured on paper")],
            suits: { subtract: %w[to5 to10 teens], rungs: [1, 2, 3], parts: true },
            cautions: %w[small_things],
            listen_for: { "count_all" => "counts both from one and guesses",
                          "count_on" => "“five … six, seven: two more”",
                          "part_whole" => "“seven is five and two”", "known_fact" => "says it at once" },
            slips: %w[gave_total one_over repeated_given],
            easier: "To five; put the towers back to back.", harder: "Covered: only the numbers are told."

      option "to", "To", [10, 5, 20], fits: :range
      option("shown", "The towers", %w[cubes covered]) { |how| how == "cubes" ? "cubes that are seen" : "under covers" }
      by_hand("the taller", "the smaller") { |data| data.values_at(:larger, :smaller) }

      # In a set of so many two are once the same; so often it is tried to keep neighbours unlike.
      WITH_SAME = 6
      TRIES = 200

      def most = pairs.size

      # The taller stands left as often as right, and no two neighbours have one difference.
      def draw(random, count)
        same, unlike = pairs.partition { |larger, smaller| larger == smaller }
        left, right = unlike.partition { |larger, _| left?(larger) }
        tried = Array.new(TRIES) { set_of(same, left, right, count, random) }
        tried.min_by { |all| alike(all) }.map { |larger, smaller| data_of(larger, smaller) }
      end

      def problem_of(data) = problem("#{data[:smaller]} + ? = #{data[:larger]}")

      def item(data)
        larger, smaller, over = data.values_at(:larger, :smaller, :over)
        make(
          ask: "Which tower has more? How many more?", answer: over, problem: problem_of(data), data: data,
          shown: standing(larger, smaller),
          tell: "#{larger} and #{smaller}: #{over.zero? ? 'the same' : "#{over} more"}.",
          steps: levelled(larger, smaller, over)
        )
      end

      private

      def levelled(larger, smaller, over)
        [
          step("look", standing(larger, smaller), "Which has more? Or have they the same?", title: "Which is more?"),
          step("look", towers(larger, smaller, level: smaller), "A finger goes across at the top of the smaller.",
               title: "Level"),
          step("check", towers(larger, smaller, level: smaller, over: true), stands_over(over),
               title: "What stands over"),
          step("write", parts([smaller, over]), "#{larger} is #{smaller} and #{over}.",
               equation: "#{larger} = #{smaller} + #{over}")
        ]
      end

      def limits = "#{option(:to)} at most, and the taller comes first"
      def remade(_data, larger, smaller) = (data_of(larger, smaller) if pairs.include?([larger, smaller]))
      def data_of(larger, smaller) = { larger: larger, smaller: smaller, over: larger - smaller }

      def pairs
        @pairs ||= (1..option(:to)).to_a.repeated_permutation(2).select do |larger, smaller|
          larger >= smaller && (range.nil? || Problem::Band.of([smaller, larger - smaller]) == range)
        end
      end

      def drawn_in_range(seed, count)
        wanted = count || [self.class.usual, most].min
        few = most < [count.to_i, LEAST].max
        raise Error::TooMany, "there are #{most} #{Ranged::OPTION.say(range)} (two towers)" if few

        draw(Random.new(seed), wanted)
      end

      def set_of(same, left, right, count, random)
        equal = count >= WITH_SAME ? same.sample(1, random: random) : []
        halves = [left, right].rotate(random.rand(2))
        rest = count - equal.size
        first = halves[0].sample(rest - (rest / 2), random: random)
        chosen = [*equal, *first, *halves[1].sample(rest - first.size, random: random)]
        missing = ((left + right) - chosen).sample(count - chosen.size, random: random)
        all = [*chosen, *missing]
        [*all, *same.sample(count - all.size, random: random)].shuffle(random: random)
      end

      def alike(all) = all.each_cons(2).count { |one, other| one.reduce(:-) == other.reduce(:-) }

      def left?(larger) = larger.even?

      def standing(larger, smaller) = option(:shown) == "cubes" ? towers(larger, smaller) : covered(larger, smaller)

      def covered(larger, smaller)
        Picture::Cards.new(left?(larger) ? [larger, smaller] : [smaller, larger], dots: false)
      end

      def towers(larger, smaller, **more)
        Picture::Towers.new(left?(larger) ? [larger, smaller] : [smaller, larger], **more)
      end

      def stands_over(over)
        if over.zero?
          "Nothing stands over: they have the same."
        else
          "#{Rungs.capital(many(over,
                                'cube'))} over: #{over} more."
        end
      end
    end
  end
end
