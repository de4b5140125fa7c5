# frozen_string_literal: true

module Rungs
  module Activity
    # Shown for a moment, covered, “how many?”; shown again, “how did you see it?”.
    class QuickLooks < Kind
      entry id: "quick_look", title: "Quick looks", minutes: 4, finds: %w[see], usual: 6,
            paper: { recording: "dots", cutouts: %w[dot_cards] },
            i_can: "I can see how many without counting one by one.",
            roles: %i[warm_up],
            cautions: %w[flashing],
            listen_for: { "count_all" => "counts on fingers what is covered already",
                          "count_on" => "“four … five, six”",
                          "part_whole" => "“four and one”", "make_ten" => "“one less than ten”",
                          "known_fact" => "the number at once, and can say why" },
            slips: %w[one_short one_over],
            easier: "Dice and frames, to five.", harder: "Mixed, over ten on two frames."

      option "to", "To", [10, 5, 20, 30], fits: :range
      option "arrangement", "Arranged", ["mixed", *QuickLook::ARRANGEMENTS.ids]
      option "seconds", "Seconds", [2, 1, 3, 4]
      by_hand("how many") { |data| [data[:number]] }

      def draw(random, count)
        looks = QuickLook.set(to: option(:to), count: count, random: random, arrangements: arrangements)
        looks.map { |look| { number: look.number, arrangement: look.arrangement } }
      end

      def problem_of(_data) = nil

      def item(data)
        look = look(data)
        way = look.ways.first
        equation = "#{way.text} = #{look.number}" if way
        seen = look.picture
        make(
          ask: "How many? How did you see it?", answer: look.number, equation: nil, data: data,
          shown: Picture::Cover.new, paper: { words: "How many do you see?", shown: seen },
          steps: [
            step("look", seen, "How many?", seconds: option(:seconds)),
            step("check", seen, "How did you see it?", hands: "groups", title: "How seen"),
            step("write", checked(look.number, seen), sentence_for(look.number, way),
                 equation: equation)
          ]
        )
      end

      # Of what lies there: a look is no problem that could be counted on.
      def sounds(item)
        look = look(item.data)
        return { "known_fact" => "“Nothing!” at once" } if look.number.zero?

        tens, sums = look.ways.map(&:text).partition { |text| text.match?(/\b10\b/) }
        { "count_all" => "“#{counted(look.number)}”, one by one", "part_whole" => seen_as(sums),
          "make_ten" => seen_as(tens), "known_fact" => "“#{Rungs.capital(word(look.number))}” at once" }.compact
      end

      # A way it was seen, as groups that were tapped or as it is written.
      def way(item, input)
        look = look(item.data)
        return look.seen_missing if input == "missing"

        input.is_a?(Array) ? look.seen(input, turned: settings[:turned]) : super
      end

      def missing?(item) = look(item.data).then { |look| look.size > look.number }

      private

      def limits = "#{option(:to)} at most, and no more than can lie so"

      def remade(data, number)
        return if number > option(:to)

        ways = option(:arrangement) == "mixed" ? [data[:arrangement], "frame"] : [data[:arrangement]]
        lies = ways.find { |id| lies?(id, number) }
        { **data, number: number, arrangement: lies } if lies
      end

      def lies?(arrangement, number)
        entry = QuickLook::ARRANGEMENTS.fetch(arrangement)
        (number.positive? || entry.empty) && entry.show(number, Random.new(number))
      end

      def counted(number)
        number > 3 ? "one, two, three … #{word(number)}" : (1..number).map { |each| word(each) }.join(", ")
      end

      # "“five and two” or “nine, one less”"
      def seen_as(ways)
        said = ways.map { |text| Aloud.read(text, minus: "less") }
        said.map { |each| "“#{each}”" }.join(" or ") if said.any?
      end

      def sentence_for(number, way)
        return "One way to see it." if way

        number.zero? ? "There is nothing to see: 0." : "#{number}, seen at once."
      end

      def arrangements
        return [option(:arrangement)] unless option(:arrangement) == "mixed"

        settings[:fingers] ? QuickLook::ARRANGEMENTS.ids : QuickLook::ARRANGEMENTS.ids - ["fingers"]
      end

      # The same number always lies the same way in one arrangement, where no seed says otherwise.
      def look(data) = QuickLook.again(data[:number], data[:arrangement], data[:seed] || data[:number])

      # A second picture: a frame, or where it was one, a line.
      def checked(number, seen) = seen.is_a?(Picture::Frame) ? line(number) : frame([number])
    end
  end
end
