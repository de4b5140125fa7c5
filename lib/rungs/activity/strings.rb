# frozen_string_literal: true

module Rungs
  module Activity
    # Bare problems one at a time that lead to one move; an item is one problem of the string.
    class Strings < Kind
      entry id: "number_string", title: "A string", minutes: 8, finds: %w[talk],
            i_can: "I can use one problem to help with the next.",
            listen_for: { "count_all" => "counts each problem from one", "count_on" => "counts on in each",
                          "part_whole" => "uses the problem before", "make_ten" => "uses the ten that was just made",
                          "known_fact" => "knows it at once" },
            slips: %w[start_counted repeated_given],
            easier: "The same move with smaller numbers.", harder: "Leave out the first helping problem."

      option("move", "Leads to", ["up_through_ten", *(NumberString.moves - ["up_through_ten"])]) do |id|
        Strategy::Move::ALL.fetch(id).title
      end

      def data(seed:, count: nil)
        problems = NumberString.for(option(:move), random: Random.new(seed)).problems.map(&:to_s)
        if count && count > problems.size
          raise Error::TooMany,
                "#{count} different items were asked for, but there are #{problems.size} in all (a string)"
        end

        problems.each_index.map { |place| { problems: problems, place: place } }.first(count || problems.size)
      end

      def item(data)
        asked = problem(data[:problems][data[:place]])
        before = data[:problems].first(data[:place])
        make(
          ask: "#{asked}. How did you work it out?", answer: asked.answer, problem: asked, data: data,
          steps: [
            step("ask", Picture::Sentence.new(asked.to_s), before.empty? ? "How many?" : "Does the one before help?"),
            step("look", shown(asked), "How did you work it out?"),
            step("check", full(asked), "Look again: is it so?"),
            step("write", parts_of(asked), "Read it: #{Aloud.read(asked.solved.to_s)}.", equation: asked.solved.to_s)
          ]
        )
      end

      private

      def hidden(asked) = Picture::UNKNOWN.fetch(asked.unknown)

      def shown(asked)
        if asked.two_sided?
          Picture::Scale.of(asked)
        else
          Picture::Bars.new(asked.parts,
                            hidden: hidden(asked))
        end
      end

      def full(asked) = asked.add? ? jumps(asked.parts) : line(asked.whole, [asked.whole - asked.given])
      def parts_of(asked) = Picture::Parts.new(asked.parts, place: settings[:whole])

      def jumps(addends)
        sum = addends.first
        line(sum, addends.drop(1).map { |part| sum += part })
      end
    end
  end
end
