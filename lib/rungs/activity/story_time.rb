# frozen_string_literal: true

module Rungs
  module Activity
    # A story is told, thought about, acted out, and written last (guide 14).
    class StoryTime < Kind
      include Bare

      MOST_THINGS = 40
      # Where it is told that some leave, they are seen to leave; what comes together is pushed together.
      LEAVE = "take_from.result"
      JOIN = %w[add_to.result together.total together.three].freeze

      entry id: "story_time", title: "A story problem", minutes: 10, finds: %w[talk], usual: 1,
            paper: { recording: "parts", cutouts: %w[story_cards] },
            i_can: "I can act out a story and say how I solved it.",
            materials: [Material.pieces(20, "counters", per: "child", instead: "fingers, pencil and paper")],
            cautions: %w[small_things],
            listen_for: { "count_all" => "puts everything out and counts from one",
                          "count_on" => "keeps one number and counts on",
                          "part_whole" => "uses a sum that is known", "make_ten" => "goes through ten on purpose",
                          "known_fact" => "knows it at once" },
            slips: %w[start_counted one_short repeated_given],
            easier: "Smaller numbers in the same story.", harder: "Another thing asked in the same story."

      option("situation", "What happens", Problem::Situation::ALL.ids, fits: :situation) do |id|
        Problem::Situation::ALL.fetch(id).then { |situation| "#{situation.group}: #{situation.question}" }
      end
      option("band", "Numbers", ["to10", *(Problem::Band::ALL.ids - ["to10"])], fits: :band) do |id|
        Problem::Band::ALL.fetch(id).title
      end

      # A problem of the teacher's own, as an item's data: a story, or a bare sentence.
      # @param problem [Problem]
      # @param words [String] the story; empty where only the sentence is shown
      # @return [Hash]
      # @param things [Array<String>] what its parts are of
      def self.data_for(problem, words, template: nil, number_set: nil, things: nil)
        return { equation: problem.to_s, words: words } unless problem.situation

        things ||= Problem::Book::USUAL[template]&.things || ["counter"]
        { situation: problem.situation.id, parts: problem.parts, words: words, things: things, template: template,
          number_set: number_set }.compact
      end

      # All problems of a situation and a range, gathered once.
      def self.pool(situation, band)
        @pools ||= {}
        @pools[[situation, band]] ||= Problem::Pool.new(situation: situation, band: band)
      end

      def most = @most ||= pool.count

      def draw(random, count)
        told = []
        pool.draw(count, random: random).map do |problem|
          story = Problem::Story.write(problem, random: random, except: told, book: book)
          told << story.template.id
          self.class.data_for(problem, story.text, **story.template_and_things)
        end
      end

      def hand(data)
        return super if data[:equation].nil? && Problem::Situation::ALL.fetch(data[:situation]).open
        return in_order(data[:equation]) if data[:equation]

        Problem::Situation::ALL.fetch(data[:situation]).number_names
      end

      def numbers_at(data)
        data[:equation] ? data[:equation].scan(/\d+/).map(&:to_i) : story_problem(data).story_numbers
      end

      def problem_of(data) = data[:equation] ? problem(data[:equation]) : story_problem(data)

      def item(data)
        asked = problem_of(data)
        words = data[:words].empty? ? in_words(asked.to_s) : data[:words]
        make(
          ask: words, answer: (asked.answer unless asked.many_answers?), problem: asked, data: data,
          posing: { story: data[:words], **data.slice(:template, :number_set) }, waits: true,
          **(data[:words].empty? ? bare(asked) : acted_out(asked, words, data[:things]))
        )
      end

      private

      def limits = "the story has no room for them"

      # The same story; where the teacher changed its words, number for number.
      def remade(data, *numbers)
        return renewed(data, numbers) if data[:equation]

        before = story_problem(data)
        now = Problem.from_story(data[:situation], numbers)
        words = Problem::Story.retold(data[:words], before, now, template: book[data[:template]], people: book.people)
        { **data, parts: now.parts, words: words }
      rescue Error::NotAProblem
        nil
      end

      def renewed(data, numbers)
        text = renumbered(data[:equation], numbers)
        { **data, equation: text } if text
      end

      def story_problem(data)
        unknown = Problem::Situation::ALL.fetch(data[:situation]).unknown
        Problem.new(situation: data[:situation], parts: data[:parts].to_a, unknown: unknown)
      end

      def bare(asked) = { shown: started(asked), steps: bare_steps(asked) }

      # The words stand alone until the picture is asked for: there is something to think of first.
      def acted_out(asked, words, things)
        solved = asked.solved.to_s unless asked.many_answers?
        given, *ends = acted(asked, things)
        { shown: given, steps: [
          step("look", given, question(words)),
          *ends.map { |layout| step("check", layout, "Look what happens.", title: "What happens") },
          step("check", parts(asked.parts),
               solved ? "Is it so? Look another way." : "This is one way. Is there another?"),
          step("write", finished(asked), solved ? read(solved) : "Many answers are right.", equation: solved)
        ] }
      end

      # What the class is told of; asked for as late as it is needed.
      def book = settings[:book]&.call || Problem::Book::USUAL

      def pool = self.class.pool(option(:situation), option(:band))
      def question(words) = words[/[^.?!]*\?/].to_s.strip.then { |asked| asked.empty? ? "How many?" : asked }

      # What the story gives, and then how it goes on: as things where they can be seen, else as bars; what is
      # asked stays hidden.
      # @return [Array<Picture::Layout>]
      def acted(asked, things)
        if asked.shown_parts.sum > MOST_THINGS
          return [parts(asked.parts, hidden: Picture::UNKNOWN.fetch(asked.unknown)).layout]
        end

        given = [objects(asked.shown_parts, things).layout]
        given << objects([asked.whole], things, struck: asked.given).layout if asked.situation&.id == LEAVE
        given << objects(asked.parts, things, joined: true).layout if JOIN.include?(asked.situation&.id)
        given
      end
    end
  end
end
