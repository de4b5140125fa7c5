# frozen_string_literal: true

module Rungs
  module Progress
    # A page for a family, drafted from the evidence in plain words: what the child does now, an example, what comes
    # next, and one thing to do at home with its caution. It never names a rung as a grade and never compares children.
    module NoteDraft
      PARTS = %i[now example coming home caution].freeze

      # By a rung: what is done now (by operation where that differs), what comes next, what to do at home, and what to
      # mind.
      Page = Struct.new(:now, :coming, :home, :caution, keyword_init: true)
      PAGES = {
        1 => Page.new(
          now: "puts out things for each number and counts them all, one by one",
          coming: "keeping the first number in the head and counting on from there",
          home: "Put 6 spoons under a cloth and say “six”. Lay 2 more beside it. How many in all, without looking " \
                "under the cloth? " \
                "Change the numbers.",
          caution: "Spoons and lids are good. Keep small things such as beans away from little brothers and sisters."
        ),
        2 => Page.new(
          now: { "add" => "keeps one number in the head and counts on from there",
                 "subtract" => "keeps one number in the head and counts back or up from there" },
          coming: "using a sum already known to help with a new one: doubles, or five and some more",
          home: "Hold up 5 fingers of one hand and some of the other. How many, and how do you see it? Then do " \
                "doubles with pairs of socks.",
          caution: "Nothing sharp or small is needed; a pair of hands will do."
        ),
        3 => Page.new(
          now: "breaks numbers into parts and uses a sum already known to find a new one",
          coming: "going through ten on purpose: 8 + 5 as 8 and 2 is ten, and 3 more",
          home: "Take an egg box with ten places (tape two shut). Fill 8 with lids or crumpled paper; 5 more are " \
                "to go in. How many fill the box, and how many are left over?",
          caution: "Use a clean box, and lids or paper rather than anything small enough to swallow."
        ),
        4 => Page.new(
          now: "goes through ten on purpose",
          coming: "knowing many of these sums at once, and saying why they are so",
          home: "On the way home, say a number to ten; the answer is how many more to ten. Then a number to twenty. " \
                "Take turns, with no hurry.",
          caution: "Near a road, looking comes before counting."
        ),
        5 => Page.new(
          now: "knows these sums at once and can say why they are so",
          coming: "the same with larger numbers",
          home: "Ask for a story about a sum: “9 and 6: what could it be about?” Then draw it together.",
          caution: "Pencils and paper are all it takes."
        )
      }.freeze
      UNHEARD = Page.new(
        now: "is beginning to tell how a problem was solved",
        coming: "telling more about how an answer was found",
        home: "Count things together that need counting anyway: plates for the table, steps on the stairs. Ask " \
              "“How did you know?”",
        caution: "On stairs, hold the rail and go one step at a time."
      )
      DOING = { "add" => "adding", "subtract" => "taking away" }.freeze

      module_function

      # @param name [String]
      # @param rungs [Array<Integer>] those that may be named: none, one, or two where it is not clear which; 5 where
      #   the range is known
      # @param operation ["add", "subtract"]
      # @param band [String]
      # @param known [Array(Integer, Integer), nil] how many facts come at once, of how many heard
      # @param faint [String, nil] where little was heard, or long ago: "was heard twice, the last on 26 October: …"
      # @param example [Example, nil]
      # @return [Hash{Symbol => String}] by PARTS
      def draft(name:, rungs:, operation:, band:, known: nil, faint: nil, example: nil)
        page = rungs.empty? || faint ? UNHEARD : PAGES.fetch(rungs.first)
        numbers = Problem::Band::ALL.fetch(band).at_home
        { now: "When #{DOING.fetch(operation)} with #{numbers}, #{name} #{faint || now(rungs, page, operation)}." \
               "#{at_once(known) unless faint}",
          example: example ? example_sentence(name, example) : "",
          coming: "Next comes #{page.coming}.",
          home: page.home, caution: page.caution }
      end

      # solved: "9 + 5 = 14". way: how it was worked, as a sentence would say it. said: the words or numbers that were
      # taken down, which alone stand in quotes. helped: whether there was help.
      Example = Struct.new(:solved, :way, :said, :helped, keyword_init: true)

      def now(rungs, page, operation)
        return doing(page, operation) if rungs.size < 2

        rungs.map { |rung| "sometimes #{doing(PAGES.fetch(rung), operation)}" }.join(", and ")
      end

      def at_once(known)
        some, heard = known
        return "" unless some&.positive?

        " #{Rungs.capital(NumberWords.say(some))} of #{NumberWords.say(heard)} sums asked came at once."
      end

      # Counting on is otherwise when adding than when taking away.
      def doing(page, operation) = page.now.is_a?(Hash) ? page.now.fetch(operation) : page.now

      def example_sentence(name, example)
        solved = "#{name} solved #{example.solved}#{', with a little help' if example.helped}"
        return "#{solved}, saying “#{example.said}”." if example.said

        example.way ? "#{solved}: #{example.way}#{'.' unless example.way.end_with?('.')}" : "#{solved}."
      end
      private_class_method :now, :at_once, :doing, :example_sentence
    end
  end
end
