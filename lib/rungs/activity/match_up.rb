# frozen_string_literal: true

module Rungs
  module Activity
    # Cards with sums, cards with their answers: each sum is built with things, its answer found and laid beside it. No
    # two have the same answer, and one answer is left over.
    class MatchUp < Kind
      entry id: "match_up", title: "Match up", minutes: 7, finds: %w[games put_together take_away], usual: 6,
            paper: { recording: "parts", cutouts: %w[match_cards] },
            i_can: "I can build a sum and find its answer.",
            materials: [Material.new(thing: "set of sums and answers", per: "pair", count: 1,
                                     instead: "sums and numbers written on paper"),
                        Material.pieces(20, "counters", per: "pair", instead: "buttons, pebbles, sticks")],
            suits: { both: %w[to5 to10 bridge to20], rungs: [1, 2, 3], ten: %w[bridge] },
            cautions: %w[small_things],
            listen_for: { "count_all" => "builds both parts and counts everything", "count_on" => "“five … six, seven”",
                          "part_whole" => "“five and two is seven”", "make_ten" => "“eight and two fill the ten”",
                          "known_fact" => "takes the card at once" },
            slips: %w[one_short one_over said_addend said_taken gave_total],
            easier: "Pictures, to five.", harder: "Missing parts, as sentences."

      option "to", "To", [10, 5, 20], fits: :range
      option "form", "Do", %w[put_together take_away missing_part]
      option "shown", "Shown as", %w[pictures sentences]
      by_hand("one number", "the other") { |data| data[:problem].scan(/\d+/).map(&:to_i) }

      def self.sets_for(aim)
        forms = [aim.operation == "add" ? "put_together" : "take_away", "missing_part"]
        super.flat_map { |set| forms.map { |form| { **set, "form" => form } } }
      end

      # As many sums as lie on a table.
      MOST = 8

      def most = [MOST, sums.size].min

      # The card that is over is a number of the range like the others.
      def draw(random, count)
        answers = sums.keys.sample(count, random: random)
        over = ((1..option(:to)).to_a - answers).sample(random: random)
        cards = mixed([*answers, over], count + 1, random)
        answers.map { |answer| { problem: sums.fetch(answer).sample(random: random), answers: cards } }
      end

      # The cards are those of the set.
      def drawn_in_range(seed, count)
        few = most < [count.to_i, LEAST].max
        raise Error::TooMany, "there are #{most} #{Ranged::OPTION.say(range)} (match up)" if few

        draw(Random.new(seed), count || [self.class.usual, most].min)
      end
      private :drawn_in_range

      def problem_of(data) = problem(data[:problem].sub("□", "?"))

      def item(data)
        asked = problem(data[:problem].sub("□", "?"))
        question = "Which card belongs to #{spoken(asked)}?"
        make(
          ask: question, answer: asked.answer, problem: asked, data: data, shown: seen(asked),
          steps: [
            step("look", built(asked), "Build it.", title: "Build"),
            step("look", cards(data), "Which of the cards is it?", title: "The cards"),
            step("check", together(asked), "Count to be sure: #{asked.answer}."),
            step("write", cards(data, left: asked.answer), read(asked.solved.to_s), equation: asked.solved.to_s)
          ]
        )
      end

      private

      def limits = "#{option(:to)} at most, and the answer is still the one of its card"

      def remade(data, *numbers)
        text = renumbered(data[:problem], numbers)
        { **data, problem: text } if text && sums.fetch(problem_of(data).answer, []).include?(text)
      end

      # @return [Hash{Integer => Array<String>}] by answer; each part is one or more, and ten the most to be added
      def sums
        @sums ||= pairs.map { |p, q| [sentence(p, q), answer(p, q)] }.group_by(&:last)
                       .transform_values { |all| all.map(&:first) }
      end

      def pairs
        all = (1...option(:to)).flat_map { |p| (1..[option(:to) - p, 10].min).map { |q| [p, q] } }
        all.select { |pair| range.nil? || Problem::Band.of(pair) == range }
      end

      def sentence(p, q)
        { "put_together" => "#{p} + #{q} = □", "take_away" => "#{p + q} − #{p} = □",
          "missing_part" => "#{p} + □ = #{p + q}" }.fetch(option(:form))
      end

      def answer(p, q) = option(:form) == "put_together" ? p + q : q
      def together? = option(:form) == "put_together"
      def away? = option(:form) == "take_away"

      # As it is asked, in words: "3 and 4", "8, 3 go", "3 and how many to make 8".
      def spoken(asked)
        first, second = asked.parts
        return "#{first} and #{second}" if together?

        away? ? "#{asked.whole}, #{gone(asked.given)}" : "#{first} and how many, to make #{asked.whole}"
      end

      def gone(number) = does(number, "go")

      # The card with the sum: as it is written, or as things.
      def seen(asked) = option(:shown) == "sentences" ? sentence_picture(asked.to_s) : built(asked)

      # What is put out to begin with; nothing of the answer.
      def built(asked)
        return objects(asked.parts, "counter") if together?

        objects([away? ? asked.whole : asked.parts.first], "counter")
      end

      def together(asked)
        return objects(asked.parts, "counter", joined: true, ticked: asked.whole) if together?

        away? ? objects([asked.whole], "counter", moved: asked.given) : objects(asked.parts, "counter")
      end

      # The answers as they lie; the one that was found is out.
      def cards(data, left: nil)
        Picture::Track.new(data[:answers], left: data[:answers] - [left])
      end
    end
  end
end
