# frozen_string_literal: true

module Rungs
  module Activity
    # The equals sign is a balance: level, one more here, what must happen there?
    class SameBothSides < Kind
      entry id: "same_both_sides", title: "The same on both sides", minutes: 8, finds: %w[equals parts], usual: 6,
            paper: { recording: "parts" },
            i_can: "I can say whether both sides are the same.",
            materials: [Material.new(thing: "balance", per: "class", count: 1, instead: "a coat hanger with two cups"),
                        Material.pieces(20, "linking cubes", per: "pair", instead: "equal blocks or coins")],
            suits: { both: Suits::TO_20, rungs: [1, 2, 3], parts: true },
            cautions: %w[small_things],
            listen_for: { "count_all" => "counts each side from one",
                          "count_on" => "counts on from one side to the other",
                          "part_whole" => "“one more here, so one less there”",
                          "known_fact" => "says the missing number at once" },
            slips: %w[answer_next added_all repeated_given],
            easier: "To ten, a number and its parts.", harder: "Sums on both sides."

      option "to", "To", [10, 5, 20], fits: :range
      option "form", "Do", %w[missing true_or_not change_both]
      by_hand("one part", "the other") { |data| data.values_at(:left, :right).max_by(&:size) }

      MOST_MORE = 3

      def most = wholes.size

      # Half of true-or-not are true; the number alone stands left as often as right.
      def draw(random, count)
        turns = (0...count).map(&:even?).shuffle(random: random)
        wholes.sample(count, random: random).each_with_index.map do |(whole, part), index|
          made(whole, part, alone_left: turns[index], holds: index.even?, random: random)
        end
      end

      def problem_of(data)
        return item(data).problem if option(:form) == "change_both"

        problem(boxed(data)) if data[:missing]
      end

      def item(data)
        left, right, missing = data.values_at(:left, :right, :missing)
        return changed(data) if option(:form) == "change_both"

        sides = [left, right].map { |side| side.join(" + ") }
        asked = missing ? boxed(data) : "#{sides[0]} = #{sides[1]}"
        make(
          ask: missing ? "Which number makes both sides the same?" : "True or not: #{asked}?",
          answer: answer(data), problem: problem_of(data), equation: asked.sub("?", "□"), data: data,
          shown: asking(data),
          steps: weighed(data, sides)
        )
      end

      private

      def weighed(data, sides)
        left, right, missing, holds = data.values_at(:left, :right, :missing, :holds)
        [
          step("look", one_side(data),
               missing ? "What must go there, so that it is level?" : "What will the balance do?"),
          step("check", scale(left, right), holds ? "Level: the same on both sides." : "It tips: not the same."),
          step("write", Picture::Bars.new(left.size > 1 ? left : right), sentence(sides, holds),
               equation: truth(data))
        ]
      end

      def limits
        "1 or more each, #{option(:to)} together at most" \
          "#{", no more than #{MOST_MORE} more" if option(:form) == 'change_both'}"
      end

      # The side with one number stays as far from the sum as it was.
      def remade(data, one, other)
        return unless one.positive? && other.positive? && wholes.include?([one + other, one])

        sum = [one, other]
        return { **data, left: sum, right: sum } if option(:form) == "change_both"

        long, short = data[:left].size > 1 ? %i[left right] : %i[right left]
        { **data, long => sum, short => [sum.sum + data[short].sum - data[long].sum] }
      end

      # A whole and a part of it; where both sides change, by three at most.
      def wholes
        all = (3..option(:to)).flat_map { |whole| (1..whole - 1).map { |part| [whole, part] } }
        @wholes ||= all.select { |whole, part| option(:form) != "change_both" || whole - part <= MOST_MORE }
      end

      def made(whole, part, alone_left:, holds:, random:)
        sum = [part, whole - part]
        return { left: sum, right: sum, missing: "right", holds: true } if option(:form) == "change_both"

        off = option(:form) == "true_or_not" && !holds
        alone = [off ? whole + [-1, 1].sample(random: random) : whole]
        left, right = alone_left ? [alone, sum] : [sum, alone]
        missing = (alone_left ? "right" : "left") if option(:form) == "missing"
        { left: left, right: right, missing: missing, holds: !off }
      end

      # The missing number, or whether it is true.
      def answer(data)
        return data.fetch(data[:missing].to_sym).last if data[:missing]

        data[:holds] ? "true" : "not"
      end

      # The side on which nothing is missing; nothing of the answer is seen yet.
      def one_side(data)
        case data[:missing]
        when "left" then scale([], data[:right])
        when "right" then scale(data[:left], [])
        else asking(data)
        end
      end

      # The last number of a side is the one that is missing.
      def boxed(data)
        sides = %i[left right].map { |side| data[side].map(&:to_s) }
        sides[data[:missing] == "left" ? 0 : 1][-1] = "?"
        sides.map { |side| side.join(" + ") }.join(" = ")
      end

      def asking(data)
        left, right, missing = data.values_at(:left, :right, :missing)
        return sentence_picture([left, right].map { |side| side.join(" + ") }.join(" = ")) unless missing

        whole = left.sum
        shown = { left: left.dup, right: right.dup }
        shown[missing.to_sym][-1] = "?"
        Picture::Scale.new(shown[:left], shown[:right], weights: [whole, whole])
      end

      def scale(left, right) = Picture::Scale.new(left, right)
      def sentence(sides, holds) = holds ? "#{sides[0]} is the same as #{sides[1]}." : "#{sides[0]} is not #{sides[1]}."

      # A true sentence about what was asked.
      def truth(data)
        left, right = data.values_at(:left, :right)
        return "#{left.join(' + ')} = #{right.join(' + ')}" if data[:holds]

        sum = [left, right].max_by(&:size)
        "#{sum.join(' + ')} = #{sum.sum}"
      end

      # More here: what there?
      def changed(data)
        number, more = data[:left]
        make(
          ask: "#{number} and #{number}: level. #{more} more on this side. How many more on that side?", answer: more,
          data: data, problem: problem("#{number} + #{more} = #{number} + ?"), shown: scale([number], [number]),
          steps: [
            step("look", scale([number, more], [number]), "It tips. What must happen there?", title: "It tips"),
            step("check", scale([number, more], [number, more]), "#{more} more there too: level again."),
            step("write", Picture::Bars.new([number, more]), "The same on both sides.",
                 equation: "#{number} + #{more} = #{number + more}")
          ]
        )
      end
    end
  end
end
