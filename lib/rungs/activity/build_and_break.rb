# frozen_string_literal: true

module Rungs
  module Activity
    # Numbers built from tens and ones, changed into others, put together.
    class BuildAndBreak < Kind
      entry id: "build_and_break", title: "Build and change", minutes: 9, finds: %w[tens], usual: 5,
            paper: { cutouts: %w[place_value] },
            i_can: "I can build a number and change it into another.",
            materials: [Material.new(thing: "tens and ones", per: "pair", count: 20,
                                     instead: "bundled straws and single ones, beads"),
                        Material.new(thing: "place-value cards", per: "pair", count: 1,
                                     instead: "cards written by hand")],
            suits: { both: %w[teens to20 to100], rungs: [2, 3], ten: %w[to100] },
            cautions: %w[small_things],
            listen_for: { "count_all" => "builds and counts from one", "count_on" => "“fourteen … fifteen, sixteen”",
                          "part_whole" => "ones with ones and tens with tens",
                          "make_ten" => "fills the ten and goes on",
                          "known_fact" => "says what was put on at once" },
            slips: %w[digits_as_ones ones_to_tens no_carry],
            easier: "Build, to twenty.", harder: "Change, to a hundred."

      option "to", "To", [20, 100], fits: :range
      option "form", "Do", %w[build change put_together]
      option "crossing", "Crossing ten", %w[no yes]
      HANDS = { "build" => ["the number"], "change" => %w[from to],
                "put_together" => ["one number", "the other"] }.freeze

      def self.sets_for(aim)
        return super.map { |set| { **set, "form" => "change" } } if aim.operation == "subtract"

        crossing = aim.rung == 4 ? "yes" : "no"
        super.map { |set| { **set, "form" => "put_together", "crossing" => crossing } }
      end

      LEAST = 11

      def most = choices.size

      def draw(random, count) = choices.sample(count, random: random).map { |numbers| data_of(numbers) }

      def hand(_data) = HANDS.fetch(option(:form))
      def numbers_at(data) = data[:numbers] || data.values_at(:from, :to)

      def problem_of(data)
        return changing(*data.values_at(:from, :to, :change)) if data.key?(:change)

        first, second = if option(:form) == "build"
                          data[:numbers][0].divmod(10).then do |ten, one|
                            [ten * 10, one]
                          end
                        else
                          data[:numbers]
                        end
        problem("#{first} + #{second} = ?")
      end

      def item(data)
        return built(data) if option(:form) == "build"

        data.key?(:change) ? changed(data) : together(data)
      end

      private

      def limits = "it goes to #{option(:to)}, as this part has it"

      def remade(_data, *numbers)
        there = option(:form) == "put_together" ? numbers.sort.reverse : numbers
        data_of(numbers) if choices.include?(there)
      end

      def choices
        @choices ||= case option(:form)
                     when "build" then (LEAST..option(:to)).zip
                     when "change" then changes
                     else pairs
                     end
      end

      # By ones within a ten, or by whole tens.
      def changes
        numbers = (1..option(:to)).to_a
        numbers.product(numbers).select { |from, to| from != to && (from / 10 == to / 10 || from % 10 == to % 10) }
      end

      # Two that cross ten, or do not.
      def pairs
        crossing = option(:crossing) == "yes"
        numbers = (1...option(:to)).to_a
        numbers.product(numbers).select do |a, b|
          a >= b && a >= 10 && a + b <= option(:to) && ((a % 10) + (b % 10) >= 10) == crossing
        end
      end

      def data_of(numbers)
        return { numbers: numbers } unless option(:form) == "change"

        from, to = numbers
        { from: from, to: to, change: to - from }
      end

      def tens_and_ones(number) = "#{many(number / 10, 'ten')} and #{many(number % 10, 'one')}"
      def bundles(*numbers, **more) = Picture::Bundles.new(numbers, **more)

      def changing(from, to, change) = problem("#{from} #{change.positive? ? '+' : '−'} ? = #{to}")

      def built(data)
        number, = data[:numbers]
        tens, ones = number / 10 * 10, number % 10
        make(
          ask: "Build #{number}. How many tens, how many ones?", answer: number,
          problem: problem_of(data), data: data, shown: bundles(number, style: :cards),
          tell: "#{tens_and_ones(number)}.", paper: { sentences: ["#{number} is ___ tens and ___ ones"], shown: false },
          steps: [
            step("look", bundles(number, style: :cards), "Bundles first, then ones.", title: "Build"),
            step("check", bundles(number), "#{tens_and_ones(number)}."),
            step("write", bundles(number, style: :rods), "#{tens_and_ones(number)}.",
                 equation: "#{tens} + #{ones} = #{number}")
          ]
        )
      end

      def changed(data)
        from, to, change = data.values_at(:from, :to, :change)
        sign, asked = change.positive? ? ["+", "How many come?"] : ["−", "How many go?"]
        make(
          ask: "Change #{from} into #{to}. #{asked}", answer: change.abs,
          problem: problem_of(data), data: data, shown: bundles(from),
          steps: [
            step("look", bundles(from), "What must change, the bundles or the ones?"),
            step("check", bundles(to), "#{to} is #{tens_and_ones(to)}.", title: "Change it"),
            step("write", line(from, [to]), "From #{from} to #{to}: #{change.abs}.",
                 equation: "#{from} #{sign} #{change.abs} = #{to}")
          ]
        )
      end

      def together(data)
        a, b = data[:numbers]
        make(
          ask: "Put #{a} and #{b} together. How many?", answer: a + b,
          problem: problem_of(data), data: data, shown: bundles(a, b),
          steps: [
            step("look", bundles(a, b), "Ones with ones, tens with tens."),
            step("check", bundles(a + b), "#{tens_and_ones(a + b)}.", title: "Together"),
            step("write", bundles(a + b, style: :cards), "#{a} and #{b} is #{a + b}.",
                 equation: "#{a} + #{b} = #{a + b}")
          ]
        )
      end
    end
  end
end
