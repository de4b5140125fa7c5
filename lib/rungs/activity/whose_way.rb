# frozen_string_literal: true

module Rungs
  module Activity
    # One problem, two invented children, two ways of different rungs; or one of them slipped. Never a real child's
    # slip.
    class WhoseWay < Kind
      entry id: "whose_way", title: "Whose way?", minutes: 8, finds: %w[talk], usual: 2,
            i_can: "I can say how two ways are the same and how they differ.",
            roles: %i[look_back],
            suits: { both: %w[to10 bridge to20], rungs: [1, 2, 3, 4] },
            listen_for: { "count_all" => "says the way that counts everything",
                          "count_on" => "says the way that counts on",
                          "part_whole" => "says a sum that helps", "make_ten" => "finds the ten in one of the ways",
                          "known_fact" => "knows it, and can still say a way" },
            slips: %w[start_counted one_short],
            easier: "Both ways right, to ten.", harder: "One of them slipped: how would you help?"

      option "to", "To", [10, 20], fits: :range
      option "form", "The two ways", %w[both_right one_slipped]
      by_hand("one part", "the other") { |data| data[:problem].scan(/\d+/).map(&:to_i) }

      def most = facts.size

      def draw(random, count)
        invented = facts.sample(count, random: random).map do |one, other|
          asked = away? ? problem("#{one + other} − #{one} = ?") : problem("#{one} + #{other} = ?")
          { problem: asked.to_s, ways: ways(asked, names(random), random) }
        end
        [*(heard(random) unless away?), *invented].first(count)
      end

      # One invented child slips, as children of the class did.
      # @param asked [Problem]
      # @param slip [Slip] that can be made on it
      # @return [Hash] the data of an item
      def slipped_on(asked, slip, random)
        names, path = names(random), asked.paths.select { |each| each.rung.between?(2, 4) }.sample(random: random)
        { problem: asked.to_s, ways: [right(names[0], path),
                                      { child: names[1], slip: slip.id, answer: wrong(slip, asked).first }] }
      end

      # Whether that slip can be made on a problem.
      def slips_on?(asked, slip) = wrong(slip, asked).any?

      def problem_of(data) = problem(data[:problem])

      def item(data)
        asked = problem(data[:problem])
        first, second = data[:ways].map { |way| steps_of(way, asked) }
        make(
          ask: ask(data[:ways]), answer: asked.answer, problem: asked, data: data,
          shown: sentence_picture(asked.to_s), paper: { words: "Work it out in two ways. Draw both.", shown: false },
          steps: [
            step("look", hidden(asked), "How would you do it?", title: "Your own way"), *first, *second,
            compared(asked, first.last, second.last),
            step("check", parts(asked.parts), "Is there another way?"),
            step("write", Picture::Bars.new(asked.parts), read(asked.solved.to_s),
                 equation: asked.solved.to_s)
          ]
        )
      end

      private

      # Where a plan asks for taking away; else two ways are of putting together.
      def away? = settings[:operation] == "subtract"

      def limits = "2 or more each, #{option(:to)} together at most"

      # The same two children; other ways where theirs cannot be with these numbers.
      def remade(data, one, other)
        left = data[:problem].include?("−")
        parts = left ? [other, one - other] : [one, other]
        return unless parts.min > 1 && parts.sum <= option(:to)

        asked = problem(left ? "#{one} − #{other} = ?" : "#{one} + #{other} = ?")
        names = data[:ways].map { |way| way[:child] }
        { problem: asked.to_s, ways: ways(asked, names, Random.new((one * 100) + other)) }
      end

      def personal? = true

      def slipped? = option(:form) == "one_slipped"

      # Invented children, whose names nobody in the class has.
      def names(random) = (Problem::Story::NAMES - settings[:names]&.call.to_a).sample(2, random: random)

      # Two ways that were heard in this class, told by invented children; a slip is never a real child's.
      def heard(random)
        problem, paths = settings[:ways_heard]&.call unless slipped?
        return [] unless problem

        [{ problem: problem.to_s, ways: names(random).zip(paths).map { |name, path| right(name, path) } }]
      end

      def hidden(asked) = parts(asked.parts, hidden: :whole)

      # Sums with two ways of different rungs that are no counting of one.
      def facts
        @facts ||= (2..option(:to) - 2).flat_map { |one| (2..option(:to) - one).map { |other| [one, other] } }
                                       .select { |fact| range.nil? || Problem::Band.of(fact) == range }
      end

      def ways(asked, names, random)
        paths = asked.paths.select { |path| path.rung.between?(1, 4) }
        first = paths.sample(random: random)
        return [right(names[0], first), slip(names[1], asked, random)] if slipped?

        second = paths.reject { |path| path.rung == first.rung }.sample(random: random)
        [right(names[0], first), right(names[1], second)].sort_by { |way| Strategy::Move::ALL.fetch(way[:move]).rung }
      end

      def right(name, path) = { child: name, move: path.move.id }

      def slip(name, asked, random)
        possible = Slip.for(asked).reject { |each| wrong(each, asked).empty? }.sample(random: random)
        { child: name, slip: possible.id, answer: wrong(possible, asked).first }
      end

      def wrong(slip, asked) = slip.answers(asked).compact - [asked.answer]

      # A way drawn step by step; a slip is only told, so that nothing wrong stands as a picture.
      def steps_of(way, asked)
        title = "#{way[:child]}’s way"
        return [step("look", hidden(asked), "#{way[:child]} says #{way[:answer]}.", title: title)] unless way[:move]

        path = Strategy::Path.by(asked, way[:move])
        drawn = Picture::Staging.way(path, asked, thing: "counter", **pictured)&.steps || [hidden(asked).layout]
        drawn.map { |layout| step("check", layout, "#{way[:child]}: “#{path.says}”", title: title) }
      end

      # Both side by side; where one slipped, what is asked.
      def compared(asked, first, second)
        return step("check", hidden(asked), "What happened? How would you help?", title: "What happened") if slipped?

        step("check", first.layout, "What is the same? Which is yours?", beside: second.layout, title: "Compare")
      end

      def ask(ways)
        names = ways.map { |way| way[:child] }
        return "#{names[1]} says #{ways[1][:answer]}. What did #{names[1]} do?" if slipped?

        "#{names.join(' and ')} did it in two ways. What is the same?"
      end
    end
  end
end
