# frozen_string_literal: true

module Rungs
  module Activity
    # The same picture read from both ends: two parts and their whole give four sentences, twins give two.
    class TurnAround < Kind
      entry id: "turn_around", title: "Turn it round", minutes: 7, finds: %w[equals take_away], usual: 5,
            paper: { recording: "parts" },
            i_can: "I can read one picture in four ways.",
            materials: [Material.new(thing: "frame", per: "pair", count: 1, instead: "one drawn on paper"),
                        Material.pieces(20, "counters", per: "pair", instead: "two-tone towers")],
            roles: %i[look_back],
            suits: { both: Suits::TO_20, rungs: [2, 3], parts: true },
            cautions: %w[small_things],
            listen_for: { "count_all" => "counts again for the turned one", "count_on" => "begins from the larger",
                          "part_whole" => "“the same, turned round”; uses the sum to take away",
                          "known_fact" => "reads all four at once" },
            slips: %w[swapped_operation said_whole],
            easier: "To ten.", harder: "A big pair: 300 + 400 is known, so 400 + 300."

      option "to", "To", [10, 5, 20], fits: :range
      option "form", "Do", %w[family big_pair]
      by_hand("one part", "the other") { |data| data[:parts] }

      def most = pairs.size

      def draw(random, count)
        pairs.sample(count, random: random).map { |pair| turned(pair) }
      end

      def problem_of(data) = (problem("#{data[:parts].join(' + ')} = ?") if data[:parts].sum <= 100)

      def item(data)
        (p, q), all = data.values_at(:parts, :equations)
        big = p >= 100
        make(
          ask: "Which sentences does this picture tell?", answer: p + q,
          problem: problem_of(data),
          equation: "#{p} + #{q} = □", data: data, shown: shown(p, q), tell: all.join(" · "),
          paper: { words: "Write every sentence of these numbers.", sentences: all.map do |each|
            each.gsub(/\d+/, "□")
          end,
                   shown: big ? Picture::Bars.new([p / 100, q / 100], unit: 100) : parts([p, q]) },
          steps: [step("look", shown(q, p), "Turn it round. Cover a part.", title: "Turn it"), *read(all)]
        )
      end

      private

      def limits
        return "two different hundreds, 900 together at most" if option(:form) == "big_pair"

        "1 or more each, #{option(:to)} together at most"
      end

      def remade(_data, *pair) = (turned(pair) if pairs.include?(pair.sort))

      def turned(pair) = { parts: pair, equations: sentences(pair) }

      # Each pair once.
      def pairs
        if option(:form) == "big_pair"
          return (1..8).flat_map do |p|
            (p..9 - p).map do |q|
              [p * 100,
               q * 100]
            end
          end.reject { |p, q| p == q }
        end

        (1..option(:to) / 2).flat_map { |p| (p..option(:to) - p).map { |q| [p, q] } }
      end

      def sentences(pair)
        p, q = pair
        sums = ["#{p} + #{q} = #{p + q}", "#{q} + #{p} = #{p + q}"].uniq
        return sums if option(:form) == "big_pair"

        (sums + ["#{p + q} − #{p} = #{q}", "#{p + q} − #{q} = #{p}"]).uniq
      end

      # Each sentence beside its picture, the last one where all are written: sums read from both ends, what is taken
      # away covered.
      def read(all)
        all.each_with_index.map do |sentence, index|
          seen = sentence.include?("−") ? covering(sentence) : turning(sentence, index)
          step(index == all.size - 1 ? "write" : "check", *seen, equation: sentence)
        end
      end

      def turning(sentence, index)
        [shown(*numbers(sentence).first(2)), index.zero? ? "Read it from this end." : "Turned round it stays the same."]
      end

      def covering(sentence)
        whole, gone, left = numbers(sentence)
        [frame([whole], size: whole <= 10 ? 10 : 20, covered: gone), "Cover #{gone}: #{left} can be seen."]
      end

      def numbers(sentence) = sentence.scan(/\d+/).map(&:to_i)

      # Hundreds as they stand on bars.
      def shown(p, q)
        return Picture::Bars.new([p / 100, q / 100], unit: 100) if p >= 100

        frame([p, q], size: p + q <= 10 ? 10 : 20)
      end
    end
  end
end
