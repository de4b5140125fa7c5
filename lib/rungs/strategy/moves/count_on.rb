# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      # Rung 2: one number is held in the head, and the rest is counted by ones, up or back.
      module CountOn
        ENTRIES = [
          { id: "on_first", title: "from the first", practised: "Count on a few", for_a: :whole, shapes: %i[two three],
            applies: ->(_) { true },
            counts: ->(problem) { problem.whole - problem.addends.first },
            acts: Acting::JOINED,
            goes: lambda { |problem|
              a, w = problem.addends.first, problem.whole
              says = w == a ? "#{Say.open(a)} and no more: #{Say.word(a)}." : Say.counting(a, [*(a + 1)..w])
              { landings: [*a..w], equations: [Say.written(problem)], says: says }
            } },

          { id: "on_larger", title: "from the larger", practised: "From the larger number", for_a: :whole,
            applies: ->(problem) { problem.smaller >= 1 && problem.addends.first < problem.larger },
            counts: lambda(&:smaller),
            acts: ->(problem) { { gathered: [[problem.larger], [problem.larger, problem.smaller]] } },
            goes: lambda { |problem|
              lo, hi, w = problem.smaller, problem.larger, problem.whole
              { landings: [*hi..w], equations: [Say.sum(hi, lo)], says: Say.counting(hi, [*(hi + 1)..w]) }
            } },

          { id: "back_from", title: "back from the whole", practised: "Count back a few", for_a: :part,
            applies: ->(_) { true },
            counts: lambda(&:given),
            goes: lambda { |problem|
              w, p, q = problem.whole, problem.given, problem.sought
              says = p.zero? ? "#{Say.open(w)} and none gone: #{Say.word(w)}." : Say.counting(w, (w - 1).downto(q).to_a)
              { landings: w.downto(q).to_a, equations: [Say.difference(w, p)], says: says }
            } },

          { id: "back_to", title: "back down to the part", practised: "Back down to it", for_a: :part,
            applies: ->(_) { true },
            counts: lambda(&:sought),
            acts: ->(problem) { { gathered: [[problem.whole]], taken: [problem.sought] } },
            goes: lambda { |problem|
              w, p, q = problem.whole, problem.given, problem.sought
              says = q.zero? ? "It is #{Say.word(p)} already. That is no step back." : nil
              { landings: w.downto(p).to_a, answer: q, equations: [Say.difference(w, q)],
                says: says || "#{Say.counting(w, (w - 1).downto(p).to_a)} That is #{Say.steps(q)} back." }
            } },

          { id: "up_to", title: "up from the part", practised: "Count up to it", for_a: :part,
            applies: ->(_) { true },
            counts: lambda(&:sought),
            acts: Acting::BUILT_UP,
            goes: lambda { |problem|
              w, p, q = problem.whole, problem.given, problem.sought
              says = q.zero? ? "It is #{Say.word(w)} already. That is zero." : nil
              { landings: [*p..w], answer: q, equations: [Say.sum(p, q)],
                says: says || "#{Say.counting(p, [*(p + 1)..w])} That is #{Say.word(q)}." }
            } }
        ].freeze
      end
    end
  end
end
