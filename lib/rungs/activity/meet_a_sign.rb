# frozen_string_literal: true

module Rungs
  module Activity
    # A sign is a new thing like a new number. Twice it is introduced: what happens is said in words, then the sign
    # takes the place of one word. Then things are acted out, and the children say which sign belongs, or that none
    # does.
    class MeetASign < Kind
      Rungs.shelve self
      include Belonging

      entry id: "meet_a_sign", title: "Meet a sign", minutes: 7, finds: %w[equals put_together take_away], usual: 7,
            i_can: "I can say what a sign means, and where it belongs.",
            materials: [Material.new(thing: "cards with the signs", per: "class", count: 3,
                                     instead: "the signs drawn on paper"),
                        Material.pieces(10, "counters", per: "pair", instead: "buttons, pebbles, sticks")],
            cautions: %w[small_things],
            listen_for: { "count_all" => "counts everything again before choosing",
                          "part_whole" => "“two and four, that is six”: reads it as one thing",
                          "known_fact" => "says what the sign does: “put together”, “as many as there”, “went away”" },
            slips: %w[swapped_operation added_instead],
            easier: "To five, plus alone.", harder: "Equals, with the number first: 6 = 2 + 4."

      option "sign", "Sign", %w[plus equals minus]
      option "to", "To", [5, 10], fits: :range
      option "equals_first", "Equals stands first too", %w[no yes]

      # How it begins, and how often each answer comes then.
      INTRODUCED = 2
      SIGNS = { "plus" => "+", "equals" => "=", "minus" => "−" }.freeze
      MEANS = { "plus" => "they were put together", "equals" => "as many here as there",
                "minus" => "some went away", "none" => "nothing happened, we only looked" }.freeze

      def most = INTRODUCED + 5

      def draw(random, count)
        sign = option(:sign)
        belonging = unsorted([sign, sign, *(SIGNS.keys - [sign]), "none"], random)
        facts = pairs.shuffle(random: random).cycle
        all = Array.new(INTRODUCED) { |index| made(sign, sign, facts.next, turned: index.odd?, box: true) }
        all += belonging.each_with_index.map { |belongs, index| made(sign, belongs, facts.next, turned: index.odd?) }
        all.first(count)
      end

      def hand(data) = numbers_at(data).size == 1 ? ["the number"] : ["one number", "the other"]
      def numbers_at(data) = numbers_in(told_side(data))

      def item(data) = data[:problem].include?("□") ? introduced(data) : belonging(data)

      private

      def limits = "1 or more each, #{option(:to)} in all at most"

      # What was acted out with other numbers; what comes of it stands where it stood.
      def remade(data, *numbers)
        return ({ **data, problem: numbers.first.to_s } if numbers.first.between?(1, option(:to))) if numbers.size == 1

        said = renumbered(told_side(data), numbers)
        asked = said && problem("#{said} = ?")
        return unless asked && asked.whole <= option(:to) && asked.parts.min.positive?

        told, answer = told_side(data), asked.answer.to_s
        sides = data[:problem].split(" = ").map { |side| side == told ? said : side.sub(/\d+/, answer) }
        { **data, problem: sides.join(" = ") }
      end

      # The side that tells what happens.
      def told_side(data) = data[:problem].split(" = ").find { |side| side.match?(/[+−]/) } || data[:problem]

      # Two parts of one or more each; what they make is in the range.
      def pairs = (1...option(:to)).flat_map { |p| (1..option(:to) - p).map { |q| [p, q] } }

      # In no order that could be guessed.
      def unsorted(list, random)
        mixed = list.shuffle(random: random)
        mixed = mixed.shuffle(random: random) while mixed.each_cons(2).any? { |one, other| one == other }
        mixed
      end

      def made(sign, belongs, pair, turned:, box: false)
        { sign: sign, problem: sentence(belongs, *pair, first: turned && option(:equals_first) == "yes", box: box),
          belongs: belongs }
      end

      # A sentence of what is acted out; where nothing is, the number that is looked at.
      def sentence(belongs, p, q, first:, box:)
        whole = box ? "□" : p + q
        return (p + q).to_s if belongs == "none"
        return "#{p + q} − #{p} = #{box ? '□' : q}" if belongs == "minus"

        belongs == "equals" && first ? "#{whole} = #{p} + #{q}" : "#{p} + #{q} = #{whole}"
      end

      def numbers_in(sentence) = sentence.scan(/\d+/).map(&:to_i)

      # First in words, acted out; then the sign in its place.
      def introduced(data)
        asked = problem(data[:problem].tr("□", "?"))
        told, question, found = telling(data)
        solved = data[:problem].sub("□", asked.answer.to_s)
        make(
          ask: "#{told} #{question}", answer: asked.answer, problem: asked, data: data, shown: before(data),
          steps: [
            step("check", after(data, asked.answer), found),
            step("write", parts(asked.parts), "#{Rungs.capital(MEANS.fetch(data[:sign]))}. #{read(solved)}",
                 equation: solved)
          ]
        )
      end

      # What is said before, what is asked, and what has come out, all without the sign.
      def telling(data)
        one, other = numbers_in(data[:problem])
        case data[:sign]
        when "plus" then ["#{many_are(one, 'here')}, #{many_are(other, 'there')}.", "How many altogether?",
                          "#{one} and #{other} make #{one + other}."]
        when "equals" then ["#{one} and #{other} on one side.", "How many on the other side, so that it is level?",
                            "Level: #{one} and #{other} here, #{one + other} there."]
        else ["#{many_are(one, 'there')}. #{does(other, 'go')}.", "How many are left?",
              "#{one}, #{does(other, 'go')}, #{many_are(one - other, 'left')}."]
        end
      end

      def many_are(number, where) = "#{are(number)} #{where}"

      def before(data)
        one, other = numbers_in(data[:problem])
        case data[:sign]
        when "plus" then objects([one, other], "counter")
        when "minus" then objects([one], "counter")
        else data[:problem].start_with?("□") ? balance([], [one, other]) : balance([one, other], [])
        end
      end

      def after(data, answer)
        one, other = numbers_in(data[:problem])
        case data[:sign]
        when "plus" then objects([one, other], "counter", joined: true)
        when "minus" then objects([one], "counter", moved: other)
        else data[:problem].start_with?("□") ? balance([answer], [one, other]) : balance([one, other], [answer])
        end
      end

      # With the numbers of a side in words, as long as no sign was met.
      def balance(left, right) = Picture::Scale.new(left, right, joined: "and")
    end
  end
end
