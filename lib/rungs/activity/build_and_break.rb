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
            cautions: %w[small_things],
            listen_for: { "count_all" => "builds and counts from one", "count_on" => "“fourteen … fifteen, sixteen”",
                          "part_whole" => "ones with ones and tens with tens",
                          "make_ten" => "fills the ten and goes on",
                          "known_fact" => "says what was put on at once" },
            slips: %w[digits_as_ones ones_to_tens no_carry],
            easier: "Build, to twenty.", harder: "Change, to a hundred."

      option "to", "To", [20, 100], fits: :range
      option "form", "Do", %w[build change put_together]

      LEAST = 11

      def most = choices.size

      def draw(random, count) = choices.sample(count, random: random).map { |numbers| told(numbers) }

      def item(data)
        return built(data) if option(:form) == "build"

        data.key?(:change) ? changed(data) : together(data)
      end

      private

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

      # Two that do not cross ten.
      def pairs
        numbers = (1...option(:to)).to_a
        numbers.product(numbers).select { |a, b| a >= b && a >= 10 && a + b <= option(:to) && (a % 10) + (b % 10) < 10 }
      end

      def told(numbers)
        return { numbers: numbers } unless option(:form) == "change"

        from, to = numbers
        { from: from, to: to, change: to - from }
      end

      def tens_and_ones(number) = "#{many(number / 10, 'ten')} and #{many(number % 10, 'one')}"
      def bundles(*numbers, **more) = Picture::Bundles.new(numbers, **more)

      def built(data)
        number, = data[:numbers]
        tens, ones = number / 10 * 10, number % 10
        make(
          ask: "Build #{number}. How many tens, how many ones?", answer: number,
          problem: problem("#{tens} + #{ones} = ?"), data: data,
          steps: [
            step("ask", bundles(number, style: :cards), "Build #{number}."),
            step("look", bundles(number), "#{tens_and_ones(number)}."),
            step("check", bundles(number, style: :rods), "What does #{word(number)} look like?"),
            step("write", bundles(number, style: :cards), "#{tens_and_ones(number)}.",
                 equation: "#{tens} + #{ones} = #{number}")
          ]
        )
      end

      def changed(data)
        from, to, change = data.values_at(:from, :to, :change)
        sign, asked = change.positive? ? ["+", "How many were put on?"] : ["−", "How many went?"]
        make(
          ask: "Change #{from} into #{to}. #{asked}", answer: change.abs,
          problem: problem("#{from} #{sign} ? = #{to}"), data: data,
          steps: [
            step("look", bundles(from), "#{from}: #{tens_and_ones(from)}."),
            step("ask", bundles(from), "Change it into #{to}. #{asked}"),
            step("check", bundles(to), "#{to}: #{tens_and_ones(to)}."),
            step("write", line(from, [to]), "#{from} to #{to}: #{change.abs}.",
                 equation: "#{from} #{sign} #{change.abs} = #{to}")
          ]
        )
      end

      def together(data)
        a, b = data[:numbers]
        make(
          ask: "Build #{a} and #{b} and put them together.", answer: a + b,
          problem: problem("#{a} + #{b} = ?"), data: data,
          steps: [
            step("look", bundles(a, b), "#{a} and #{b}."),
            step("ask", bundles(a, b), "Ones with ones, tens with tens. How many?"),
            step("check", bundles(a + b), "#{tens_and_ones(a + b)}."),
            step("write", bundles(a + b, style: :cards), "#{a} and #{b} is #{a + b}.",
                 equation: "#{a} + #{b} = #{a + b}")
          ]
        )
      end
    end
  end
end
