# frozen_string_literal: true

module Rungs
  module Activity
    # A heap is gathered in twos, fives or tens and counted as it is gathered; the rest by ones.
    class CountBy < Kind
      entry id: "count_by", title: "Count by twos, fives, tens", minutes: 7, finds: %w[tens], usual: 5,
            paper: { recording: "line" },
            i_can: "I can count a heap in groups.",
            materials: [Material.new(thing: "small things to count", per: "pair", count: 40,
                                     instead: "pegs, caps, sticks")],
            roles: %i[warm_up],
            cautions: %w[small_things],
            listen_for: { "count_all" => "counts one by one", "count_on" => "counts the groups, then on by ones",
                          "part_whole" => "“ten and ten, and three”", "known_fact" => "says the count by heart" },
            slips: %w[one_short one_over],
            easier: "Twos to twenty.", harder: "With some left over."

      option "by", "By", [2, 5, 10]
      option "to", "To", [20, 100], fits: :range
      option "rest", "A rest", %w[no yes]
      by_hand("things") { |data| [data[:number]] }

      # More groups than this are not gathered by hand.
      MOST_GROUPS = 10

      def most = numbers_there.size

      def draw(random, count)
        mixed(numbers_there, count, random).map { |number| grouped(number) }
      end

      def problem_of(_data) = nil

      def item(data)
        number, by, groups, rest = data.values_at(:number, :by, :groups, :rest)
        make(
          ask: "Count the heap by #{word(by)}s. How many?", answer: number, data: data, equation: nil,
          shown: objects([number], "counter", heap: true),
          steps: [
            step("look", objects([number], "counter", heap: true), "Guess first. Then put them in #{word(by)}s.",
                 title: "Guess"),
            step("check", gathered(groups, by, 0), counted(by, groups), title: "By #{word(by)}s"),
            step("check", gathered(groups, by, rest), over(rest, number), title: "The rest"),
            step("write", line(0, [*by.step(groups * by, by), number].uniq), "#{Rungs.capital(word(number))}.",
                 equation: "#{sizes(groups, by, rest).join(' + ')} = #{number}")
          ]
        )
      end

      private

      def limits
        "#{numbers_there.min} to #{numbers_there.max}, " \
          "#{option(:rest) == 'no' ? "counted by #{option(:by)}s to the end" : 'with some left over'}"
      end

      def remade(_data, number) = (grouped(number) if numbers_there.include?(number))

      def grouped(number)
        { number: number, by: option(:by), groups: number / option(:by), rest: number % option(:by) }
      end

      def numbers_there
        most = [option(:to), (option(:by) * MOST_GROUPS) + option(:by) - 1].min
        @numbers_there ||= (option(:by)..most).select do |number|
          (number % option(:by)).zero? == (option(:rest) == "no")
        end
      end

      # "Two, four, six."
      def counted(by, groups) = "#{Rungs.capital(by.step(groups * by, by).map { |each| word(each) }.join(', '))}."
      def over(rest, number) = rest.zero? ? "Nothing is left over." : "And #{word(rest)} more: #{word(number)}."

      # A column for each group, and the rest in its own.
      def gathered(groups, by, rest) = objects(sizes(groups, by, rest), "counter", across: true)
      def sizes(groups, by, rest) = [*[by] * groups, (rest unless rest.zero?)].compact
    end
  end
end
