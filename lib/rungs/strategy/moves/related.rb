# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      # Rung 3, by another fact that is known: the matching addition, the ones fact, the other side of the equals sign.
      module Related
        # @return [Array(Integer, Integer), nil] of the numbers on the other side, one that is one or two away from the
        #   number given beside the box, the nearest; and the one that is left
        def self.across(problem)
          other = problem.sides.first
          return unless other.add? && other.parts.size == 2

          one, left = [other.parts, other.parts.reverse].min_by { |number, _| (number - problem.given).abs }
          [one, left] if (one - problem.given).abs.between?(1, 2)
        end

        ENTRIES = [
          { id: "family", title: "uses the matching addition",
            practised: "Adding to take away", for_a: :part, draws: :parts,
            applies: ->(problem) { problem.smaller.positive? },
            turns: 1, recalls: %w[fact],
            acts: Acting::BUILT_UP,
            goes: lambda { |problem|
              w, p, q = problem.whole, problem.given, problem.sought
              { landings: [p, w], answer: q, equations: [Say.sum(p, q), Say.difference(w, p)],
                says: "#{Say.open(p)} and #{Say.word(q)} is #{Say.word(w)}, so it is #{Say.word(q)}." }
            } },

          { id: "tens_fact", title: "the fact in ones, said in tens",
            practised: "Tens as in ones", for_a: :either, draws: :bundles,
            applies: ->(problem) { problem.band == "tens" },
            recalls: %w[fact],
            acts: lambda { |problem|
              problem.add? ? { gathered: [problem.addends, [problem.whole]] } : Acting::PLAIN.call(problem)
            },
            goes: lambda { |problem|
              a, b = problem.add? ? problem.addends : [problem.whole, problem.given]
              reach = problem.add? ? problem.whole : problem.sought
              sign, verb = problem.add? ? ["+", "and"] : ["−", "take away"]
              { landings: [a, reach],
                equations: ["#{a / 10} #{sign} #{b / 10} = #{reach / 10}", "#{a} #{sign} #{b} = #{reach}"],
                says: "#{Say.open(a / 10)} #{verb} #{Say.word(b / 10)} is #{Say.word(reach / 10)}, so it is " \
                      "#{Say.word(reach)}." }
            } },

          { id: "same_across", title: "makes both sides the same without adding", for_a: :part, shapes: %i[both_sides],
            draws: :scale,
            applies: ->(problem) { !across(problem).nil? },
            splits: 1, counts: ->(problem) { (across(problem).first - problem.given).abs },
            acts: ->(problem) { { gathered: [problem.sides.first.parts] } },
            goes: lambda { |problem|
              (one, left), given, answer = across(problem), problem.given, problem.answer
              far = Say.word((given - one).abs)
              more, less = given > one ? %w[more less] : %w[less more]
              { landings: [left, answer], equations: [problem.solved.to_s],
                says: "#{Say.open(given)} is #{far} #{more} than #{Say.word(one)}, " \
                      "so it is #{far} #{less} than #{Say.word(left)}: #{Say.word(answer)}." }
            } }
        ].freeze
      end
    end
  end
end
