# frozen_string_literal: true

module Rungs
  module Strategy
    class Hearing
      # A number held in the head and steps from it, by ones or equal ones, up or back.
      class Steps
        def initialize(problem, heard)
          @problem = problem
          @heard = heard
        end

        # @return [Array<Candidate>]
        def candidates
          paths.select { |path| path.rung == 2 && path.landings.size > 1 }.flat_map { |path| against(path) }
        end

        private

        # Every way here, and from the second number though it is the smaller.
        def paths
          first, second = @problem.addends
          return @problem.paths unless @problem.add? && @problem.shape == :two && second.between?(1, first - 1)

          @problem.paths + [Move::ALL.fetch("on_first").path(@problem.turned)]
        end

        def against(path)
          start, *words = path.landings
          case @heard
          when words then [found(path, 1.0, "from #{named(start)}, which was not said again, to #{words.last}")]
          when path.landings then whole_run(path, start, words)
          when path.landings[0...-1] then stopped_short(path, start)
          else off_by_one(path, start, words)
          end
        end

        def whole_run(path, start, words)
          steps = words.size == 1 ? "one step" : "#{words.size} steps"
          said = found(path, 0.9, "from #{named(start)} to #{words.last} in #{steps}")
          return [said] unless path.by_steps?

          [said, found(path, 0.45, "#{start} may have been counted as the first step: #{@heard.size}",
                       slip: "start_counted", answer: @heard.size)]
        end

        # Which of the two it starts from, where that tells them apart.
        def named(start)
          return start unless @problem.add? && @problem.shape == :two && @problem.addends.uniq.size == 2

          place = %w[first second][@problem.addends.index(start) || 2]
          place ? "#{start} (the #{place} number)" : start
        end

        # Where the landing is the answer, as many words as steps: the start was counted. Where the steps are, one was
        # left out.
        def stopped_short(path, start)
          if path.by_steps?
            return [found(path, 0.6, "it stopped one short; the answer said will tell", slip: MISCOUNT, answer: nil)]
          end

          why = "#{start} was counted as the first step, so it ended one short"
          [found(path, 0.8, why, slip: "start_counted", answer: @heard.last)]
        end

        # One word too few or too many at the end, left out, or said twice.
        def off_by_one(path, start, words)
          step = words.first - start
          why = at_the_end(words, step) || within(start, words, step) or return []

          steps = @heard.size - (@heard.first == start ? 1 : 0)
          [found(path, 0.5, why, slip: MISCOUNT, answer: path.by_steps? ? steps : @heard.last)]
        end

        def at_the_end(words, step)
          return "one word too few at the end" if words.size > 1 && @heard == words[0...-1]

          longer = [*words, words.last + (words.size > 1 ? words[-1] - words[-2] : step)]
          "one word too many at the end" if [longer, [words.first - step, *longer]].include?(@heard)
        end

        # Tens, then ones: one of them left out, or said twice, to the same end.
        def among(said)
          return if @heard.last != said.last

          left = said.drop(1).each_index.map { |at| said[0..at] + said.drop(at + 2) }
          return "one number was skipped" if left.include?(@heard)

          "one number was said twice" if said.flat_map.with_index.any? do |number, at|
            said[0..at] + [number] + said.drop(at + 1) == @heard
          end
        end

        def within(start, words, step)
          mixed = words.each_cons(2).any? { |one, after| after - one != step }
          return among([start, *words]) || among(words) if mixed
          return unless [start, words.first].include?(@heard.first)

          odd = @heard.each_cons(2).map { |one, after| after - one }.reject { |each| each == step }
          return unless odd.size == 1 && [0, step * 2].include?(odd.first) && (@heard.last - words.last).abs <= step.abs

          odd.first.zero? ? "one number was said twice" : "one number was skipped"
        end

        def found(path, weight, why, slip: nil, answer: path.answer)
          Candidate.of(path.move, weight, answer, why, slip: slip)
        end
      end
    end
  end
end
