# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      # Rung 1: every set is made, and everything is counted from one.
      module CountAll
        ENTRIES = [
          { id: "all_objects", title: "counts each set, then everything", for_a: :whole, draws: :objects,
            shapes: %i[two three],
            applies: ->(_) { true },
            counts: ->(problem) { problem.whole * 2 },
            acts: ->(problem) { { gathered: [problem.addends], counted: true } },
            goes: lambda { |problem|
              w = problem.whole
              says = w.zero? ? "There is nothing to count. Zero." : "#{Rungs.capital(Say.list([*1..w]))}."
              { landings: (w.zero? ? [0] : [*1..w]), equations: [Say.written(problem)], says: says }
            } },

          { id: "all_remove", title: "counts out, takes away, counts what is left", for_a: :part, draws: :objects,
            applies: ->(_) { true },
            counts: ->(problem) { problem.whole * 2 },
            goes: lambda { |problem|
              w, p, q = problem.whole, problem.given, problem.sought
              { landings: w.downto(q).to_a, equations: [Say.difference(w, p)],
                says: "I put out #{Say.word(w)} and took away #{Say.word(p)}. I counted what was left: " \
                      "#{Say.word(q)}." }
            } },

          { id: "all_build_up", title: "puts out the part, adds until it is all there, counts the added", for_a: :part,
            draws: :objects,
            applies: lambda(&:missing_part?),
            counts: ->(problem) { problem.whole + problem.sought },
            acts: Acting::BUILT_UP,
            goes: lambda { |problem|
              w, p, q = problem.whole, problem.given, problem.sought
              { landings: [*p..w], answer: q, equations: [Say.sum(p, q)],
                says: "I put out #{Say.word(p)} and more until it was #{Say.word(w)}. I counted the new ones: " \
                      "#{Say.word(q)}." }
            } },

          { id: "all_match", title: "lines up two rows and counts the extra", for_a: :part, draws: :objects,
            applies: lambda(&:compare?),
            counts: ->(problem) { problem.whole * 2 },
            acts: ->(problem) { { gathered: [[problem.whole, problem.given]], matched: true } },
            goes: lambda { |problem|
              w, p, q = problem.whole, problem.given, problem.sought
              { landings: [*p..w], answer: q, equations: [Say.difference(w, p)],
                says: "I made two rows and counted the ones with no partner: #{Say.word(q)}." }
            } }
        ].freeze
      end
    end
  end
end
