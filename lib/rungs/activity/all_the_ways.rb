# frozen_string_literal: true

module Rungs
  module Activity
    # One number, all its parts: in order, one moved across each time, or as they are found; then which are missing.
    class AllTheWays < Kind
      entry id: "all_the_ways", title: "All the ways", minutes: 9, finds: %w[parts make_ten], usual: 300,
            paper: { recording: "ways", cutouts: %w[strips] },
            i_can: "I can find all the ways to make a number.",
            materials: [Material.pieces(20, "linking cubes", per: "child", instead: "paper strips to colour")],
            roles: %i[look_back],
            suits: { both: %w[to5 to10 to20], rungs: [1, 2, 3], ten: %w[to10], parts: true },
            cautions: %w[small_things sharp_things],
            listen_for: { "count_all" => "counts both parts each time",
                          "count_on" => "holds one part and counts the other",
                          "part_whole" => "“one less here, so one more there”",
                          "known_fact" => "says the way before it is built" },
            slips: %w[one_short one_over],
            easier: "A small number, with cubes in the hand.", harder: "Three parts: many more ways."

      option "n", "Number", [5, *(2..4), *(6..20)], fits: :within
      option "parts", "Parts", [2, 3]
      option "zero", "With zero", %w[yes no]
      option "first", "Found", %w[in_order die]

      # Every number of the range; ten where that is the aim.
      def self.sets_for(aim)
        largest = [aim.band.largest, 20].min
        numbers = aim.rung == 4 ? [10] : largest.downto(3).to_a
        super.flat_map { |set| numbers.map { |n| { **set, "n" => n } } }
      end

      def most = ways.size

      def draw(random, count)
        found = option(:first) == "in_order" ? ways : ways.shuffle(random: random)
        found.first(count).map { |parts| { n: option(:n), parts: parts } }
      end

      def problem_of(data)
        numbers = data[:parts]
        numbers.size == 2 ? Problem.new(parts: numbers, unknown: :both) : problem("#{numbers.join(' + ')} = ?")
      end

      def hand(_data) = ["the first part", "the second", "the third"].first(option(:parts))
      def numbers_at(data) = data[:parts]

      def item(data)
        n, numbers = data.values_at(:n, :parts)
        sum = numbers.join(" + ")
        two = numbers.size == 2
        make(
          ask: "Which #{two ? 'two' : 'three'} make #{n}?", answer: n,
          problem: problem_of(data),
          equation: "#{sum} = □", data: data, shown: tower([n]),
          paper: { words: "Colour it in #{two ? 'two' : 'three'}. Write it.", shown: outlined(n, "bead"),
                   sentences: ["#{(['□'] * numbers.size).join(' + ')} = #{n}"] },
          tell: "One way: #{numbers.join(' and ')}.",
          steps: broken(n, numbers)
        )
      end

      # @param found [Array<Array<Integer>>]
      # @return [Array<Array<Integer>>] the ways that are still missing
      def missing(found) = ways - found.map { |parts| settings[:turned] == "one" ? parts.sort.reverse : parts }

      def notes(seen)
        left = missing(seen.map { |data| data[:parts] })
        return ["There are #{most} ways; all are found."] if left.empty?

        shown = left.first(12).map { |parts| parts.join(" and ") }
        ["There are #{most} ways; still missing: #{shown.join(', ')}#{' …' if left.size > shown.size}."]
      end

      private

      def broken(n, numbers)
        sum = numbers.join(" + ")
        [
          *fallen(numbers.first), step("look", tower(numbers), "Break it. How many of each?", title: "Break it"),
          step("check", parts(numbers), "#{n} is #{numbers.join(' and ')}."),
          step("write", parts(numbers), "#{numbers.join(' and ')} make #{n}.",
               equation: "#{sum} = #{n}", tell: "Write each way under the one before.")
        ]
      end

      def limits = "the parts come to #{option(:n)}#{', none of them 0' if option(:zero) == 'no'}"

      def remade(data, *parts)
        { **data, parts: parts } if parts.sum == option(:n) && (option(:zero) == "yes" || parts.min.positive?)
      end

      # In order only all of them are a set.
      def whole_set(seed, wanted) = (super if wanted >= most)

      def ways
        @ways ||= begin
          all = option(:parts) == 2 ? twos : threes
          all = all.reject { |parts| parts.include?(0) } if option(:zero) == "no"
          settings[:turned] == "one" ? all.map { |parts| parts.sort.reverse }.uniq : all
        end
      end

      def twos = option(:n).downto(0).map { |first| [first, option(:n) - first] }

      # To and fro, so that each is one moved across from the one before.
      def threes
        n = option(:n)
        n.downto(0).flat_map do |first|
          seconds = (0..n - first).to_a
          seconds.reverse! if (n - first).even?
          seconds.map { |second| [first, second, n - first - second] }
        end
      end

      # The die that gives the first part, where a die can.
      def fallen(first)
        return [] unless option(:first) == "die" && first.between?(1, 6)

        [step("look", Picture::Dots.new("die", [first]), "The die says #{first}.", falls: true, title: "Throw")]
      end

      def tower(numbers) = Picture::Towers.new(numbers, style: numbers.size < 3 ? :tower : :towers)
    end
  end
end
