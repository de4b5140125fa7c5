# frozen_string_literal: true

module Rungs
  module Activity
    # Packs of ten: a fact in packs, opened one after the other, and the same fact in things.
    class BundlesOfTen < Kind
      entry id: "bundles_of_ten", title: "Packs of ten", minutes: 8, finds: %w[tens], usual: 5,
            paper: { cutouts: %w[place_value] },
            i_can: "I can add and take away tens.",
            materials: [Material.new(thing: "bundles of ten sticks", per: "group", count: 10,
                                     instead: "straws and bands, pasta in bags")],
            suits: { both: %w[tens], rungs: [2, 3] },
            cautions: %w[small_things],
            listen_for: { "count_all" => "counts every thing from one", "count_on" => "“thirty … forty, fifty”",
                          "part_whole" => "“three and five is eight, so eighty”", "known_fact" => "“eighty” at once" },
            slips: %w[tens_dropped one_over],
            easier: "To five packs.", harder: "Take packs away."

      option "operation", "Do", Problem::OPERATIONS, fits: :operation
      by_hand("packs", "packs that come or go") { |data| data[:fact].scan(/\d+/).map(&:to_i) }

      def self.reach(_chosen) = 100

      WHOLES = (2..10)

      def most = facts.size

      def draw(random, count)
        facts.sample(count, random: random).map do |a, b|
          a, b = b, a if option(:operation) == "add" && random.rand(2).zero?
          made(a, b)
        end
      end

      def problem_of(data) = problem("#{data[:tens]} = ?")

      def item(data)
        a, b = data[:fact].scan(/\d+/).map(&:to_i)
        answer = adding? ? a + b : a - b
        make(
          ask: adding? ? "#{packs(a)} and #{packs(b)} of ten: how many things?" : taken(a, b), answer: answer * 10,
          problem: problem_of(data), data: data, shown: bundles(a, b, closed: true),
          steps: [
            step("look", bundles(a, b, closed: true), "How many packs will it be? What is in each?"),
            step("check", adding? ? Picture::Bundles.new([answer * 10], style: :rods) : bundles(a, b),
                 "#{tens_said(answer)}.", title: "Count by tens"),
            step("write", Picture::Bundles.new([answer * 10], style: :cards), "In packs: #{data[:fact]} = #{answer}.",
                 equation: "#{data[:tens]} = #{answer * 10}")
          ]
        )
      end

      private

      def limits = adding? ? "1 pack or more each, 10 together at most" : "10 packs at most, and some stay"

      def remade(_data, first, second)
        fits = adding? ? first + second <= WHOLES.max : first <= WHOLES.max && second < first
        made(first, second) if fits && first.positive? && second.positive?
      end

      def made(first, second)
        { fact: said(first, second), tens: said(first * 10, second * 10), operation: option(:operation) }
      end

      def packs(number) = many(number, "pack")

      def taken(whole, gone)
        "#{packs(whole)} of ten. #{packs(gone)} #{gone == 1 ? 'goes' : 'go'}. How many things are left?"
      end

      def adding? = option(:operation) == "add"
      def said(a, b) = "#{a} #{adding? ? '+' : '−'} #{b}"

      # Each once, whichever way round.
      def facts
        return WHOLES.flat_map { |whole| (1..whole / 2).map { |part| [whole - part, part] } } if adding?

        WHOLES.flat_map { |whole| (1...whole).map { |part| [whole, part] } }
      end

      def bundles(a, b, closed: false)
        return Picture::Bundles.new([a * 10, b * 10]) if adding?

        Picture::Bundles.new([a * 10], struck: closed ? 0 : b * 10)
      end

      def tens_said(answer) = Rungs.capital((1..answer).map { |each| word(each * 10) }.join(", "))
    end
  end
end
