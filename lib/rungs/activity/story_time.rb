# frozen_string_literal: true

module Rungs
  module Activity
    # A story is told, thought about, acted out, and written last (guide 14).
    class StoryTime < Kind
      entry id: "story_time", title: "A story problem", minutes: 10, finds: %w[talk], usual: 1,
            i_can: "I can act out a story and say how I solved it.",
            materials: [Material.new(thing: "counters", per: "child", count: 20, instead: "fingers, pencil and paper")],
            cautions: %w[small_things],
            listen_for: { "count_all" => "puts everything out and counts from one",
                          "count_on" => "keeps one number and counts on",
                          "part_whole" => "uses a sum that is known", "make_ten" => "goes through ten on purpose",
                          "known_fact" => "knows it at once" },
            slips: %w[start_counted one_short repeated_given],
            easier: "Smaller numbers in the same story.", harder: "Another thing asked in the same story."

      option("situation", "What happens", Problem::Situation::ALL.ids) do |id|
        Problem::Situation::ALL.fetch(id).then { |situation| "#{situation.group}: #{situation.question}" }
      end
      option("band", "Numbers", ["to10", *(Problem::Band::ALL.ids - ["to10"])]) { |id| Problem::Band::ALL.fetch(id).title }

      def most = pool.count

      def draw(random, count)
        told = []
        pool.draw(count, random: random).map do |problem|
          story = Problem::Story.write(problem, random: random, except: told)
          told << story.template.id
          { situation: option(:situation), parts: problem.parts, words: story.text, things: story.template.things }
        end
      end

      def item(data)
        problem = Problem.new(situation: data[:situation], parts: data[:parts], unknown: situation.unknown)
        solved = problem.solved.to_s unless situation.open
        make(
          ask: data[:words], answer: (problem.answer unless problem.many_answers?), problem: problem, data: data,
          steps: [
            step("look", shown(problem, data[:things]), data[:words], hands: "things"),
            step("ask", shown(problem, data[:things]), question(data[:words])),
            step("check", whole(problem), "Is it so? Look another way."),
            step("write", line_of(problem), solved ? "Read it: #{Aloud.read(solved)}." : "Many answers are right.",
                 equation: solved)
          ]
        )
      end

      private

      def situation = Problem::Situation::ALL.fetch(option(:situation))
      def pool = @pool ||= Problem::Pool.new(situation: option(:situation), band: option(:band))
      def question(words) = words[/[^.?!]*\?/].strip

      # What the story gives, as things where they can be seen, else as bars; what is asked stays hidden.
      def shown(problem, things)
        return parts(problem.parts, hidden: Picture::UNKNOWN.fetch(problem.unknown)) if problem.shown_parts.sum > 40

        objects(problem.shown_parts, things)
      end

      def whole(problem) = parts(problem.parts)

      def line_of(problem)
        total = problem.whole
        if problem.add?
          line(problem.parts.first, jumps(problem.parts))
        else
          line(total,
               problem.given.zero? ? [] : [total - problem.given])
        end
      end

      def jumps(parts)
        sum = parts.first
        parts.drop(1).reject(&:zero?).map { |part| sum += part }
      end
    end
  end
end
