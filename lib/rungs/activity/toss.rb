# frozen_string_literal: true

module Rungs
  module Activity
    # Two-tone counters are shaken and spilled: which ways come, which are missing, and why do some come so often?
    class Toss < Kind
      entry id: "toss", title: "Toss and tell", minutes: 9, thrown: true, finds: %w[parts make_ten], usual: 6,
            paper: { recording: "dots", cutouts: %w[strips] },
            i_can: "I can find the parts of a number.",
            materials: [Material.pieces(8, "counters", per: "pair", instead: "beans painted on one side, coins"),
                        Material.new(thing: "cup", per: "pair", count: 1, instead: "two hands")],
            suits: { both: %w[to5 to10], rungs: [1, 2, 3], ten: %w[to10], parts: true },
            cautions: %w[small_things],
            listen_for: { "count_all" => "counts each colour, then all again",
                          "count_on" => "“five … six, seven, eight”",
                          "part_whole" => "“it is eight, so five and three”",
                          "known_fact" => "says the other part at once" },
            slips: %w[one_short one_over],
            easier: "Four or five counters.", harder: "Ten counters."

      option "n", "Counters", [8, 3, 4, 5, 6, 7, 9, 10], fits: :within
      by_hand("of the first colour") { |data| [data[:first]] }

      # Numbers of the range, the plainest first; ten where that is the aim.
      def self.sets_for(aim)
        within = [8, 7, 9, 6, 5, 4, 3].select { |n| aim.band.fits?([n, 0]) }
        (aim.rung == 4 ? [10] : within).flat_map { |n| super.map { |set| { **set, "n" => n } } }
      end

      # As they fall: each counter by itself, one side or the other.
      def draw(random, count)
        Array.new(count) { fallen(Array.new(option(:n)) { random.rand(2) }.sum) }
      end

      # How many of the first colour lie on top.
      def given(input)
        first = Integer(input, exception: false)
        fits = first&.between?(0, option(:n))
        refuse("of #{option(:n)} counters 0 to #{option(:n)} show the first colour") unless fits
        fallen(first)
      end

      def problem_of(data) = problem("#{data[:first]} + #{data[:second]} = ?")

      def item(data)
        n, first, second = data.values_at(:n, :first, :second)
        make(
          ask: "Toss #{n}. How many of each colour?", answer: n,
          problem: problem_of(data), data: data, shown: objects([0], "counter", cup: true),
          tell: "#{first} and #{second} fall here; toss real ones and tap them in.",
          paper: { words: "Toss #{n}. Colour what you see. Write it.", sentences: ["□ + □ = #{n}"],
                   shown: outlined(n, "counter") },
          steps: tossed(n, first, second)
        )
      end

      # @return [Hash] the chance of each way, and how many tosses to expect until all have come
      def figures
        { chances: chances.map { |parts, chance| { parts: parts, chance: chance.to_f } },
          expected: Collector.new(chances).expected.to_f }
      end

      # @param found [Array<Array<Integer>>] ways that have come
      # @return [Array<Array<Integer>>] ways that have not
      def missing(found) = chances.keys - found.map { |parts| ordered(parts) }

      def notes(seen)
        often, rare = chances.max_by(&:last), chances.min_by(&:last)
        left = missing(seen.map { |data| data.values_at(:first, :second) })
        ["#{often[0].join(' and ')} comes most often, #{times(often[1])}; " \
         "#{rare[0].join(' and ')} comes #{times(rare[1])}.",
         "About #{many(Collector.new(chances).expected.round, 'toss', 'tosses')} until every way has come.",
         left.empty? ? "Every way has come." : "Still missing: #{left.map { |parts| parts.join(' and ') }.join(', ')}."]
      end

      private

      def tossed(n, first, second)
        [
          step("look", objects([first, second], "counter", heap: true), "How many of each colour?", falls: true,
                                                                                                    title: "Toss"),
          step("check", objects([first, second], "counter"), "Sorted: #{first} and #{second}.", title: "Sort"),
          step("write", parts([first, second]), "#{first} and #{second} make #{n}.",
               equation: "#{first} + #{second} = #{n}")
        ]
      end

      def limits = "there are #{option(:n)} counters"
      def remade(_data, first) = (fallen(first) if first <= option(:n))

      # "27 times in 100", "once in 256"
      def times(chance)
        chance >= Rational(1, 50) ? "#{(chance * 100).round} times in 100" : "once in #{(1 / chance).round}"
      end

      def fallen(first) = { n: option(:n), first: first, second: option(:n) - first }
      def ordered(parts) = settings[:turned] == "one" ? parts.sort.reverse : parts

      def chances
        n = option(:n)
        ways = (0..n).map { |first| [ordered([first, n - first]), Rational(choose(n, first), 2**n)] }
        ways.group_by(&:first).transform_values { |same| same.sum(&:last) }
      end

      def choose(n, k) = (1..k).reduce(1) { |product, i| product * (n - k + i) / i }
    end
  end
end
