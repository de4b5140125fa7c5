# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      # Rung 3, by a double: the problem's own, or one beside it.
      module Doubles
        BESIDE = ->(problem) { problem.larger - problem.smaller == 1 && problem.smaller >= 2 }

        # @return [String] "Six and six is twelve"
        def self.said(number) = "#{Say.open(number)} and #{Say.word(number)} is #{Say.word(number * 2)}"

        ENTRIES = [
          { id: "double", title: "uses the double", practised: "Doubles", for_a: :either, draws: :dots,
            applies: ->(problem) { problem.first == problem.second && problem.first >= 2 },
            recalls: %w[double],
            acts: ->(problem) { { gathered: [problem.parts] } },
            goes: lambda { |problem|
              p, w = problem.first, problem.whole
              next { landings: [p, w], equations: [Say.sum(p, p)], says: "#{said(p)}." } if problem.add?

              { landings: [w, p], equations: [Say.sum(p, p), Say.difference(w, p)],
                says: "#{Say.open(w)} is #{Say.word(p)} and #{Say.word(p)}, so #{Say.word(p)}." }
            } },

          { id: "near_double", title: "uses the double beside it",
            practised: "Doubles and near doubles", for_a: :whole, draws: :rack,
            applies: BESIDE, counts: 1, recalls: %w[double],
            acts: ->(problem) { { gathered: [[problem.smaller] * 2, problem.addends] } },
            goes: lambda { |problem|
              lo, w = problem.smaller, problem.whole
              { landings: [lo, lo * 2, w], equations: [Say.sum(lo, lo), Say.sum(lo * 2, 1)],
                says: "#{said(lo)}, and one more is #{Say.word(w)}." }
            } },

          { id: "double_less_one", title: "uses the double above, less one",
            practised: "Doubles, less one", for_a: :whole, draws: :rack, usual: false,
            applies: BESIDE, counts: 1, recalls: %w[double],
            acts: ->(problem) { { gathered: [[problem.larger] * 2, problem.addends] } },
            goes: lambda { |problem|
              hi, w = problem.larger, problem.whole
              { landings: [hi, hi * 2, w], equations: [Say.sum(hi, hi), Say.difference(hi * 2, 1)],
                says: "#{said(hi)}, and one less is #{Say.word(w)}." }
            } },

          { id: "share_even", title: "gives one across to make a double",
            practised: "Across to a double", for_a: :whole, draws: :towers,
            applies: ->(problem) { problem.larger - problem.smaller == 2 && problem.smaller >= 2 },
            splits: 1, counts: 1, recalls: %w[double],
            acts: ->(problem) { { gathered: [problem.addends, [problem.smaller + 1] * 2] } },
            goes: lambda { |problem|
              between, w = problem.smaller + 1, problem.whole
              { landings: [between, w],
                equations: ["#{Say.asked(problem)} = #{between} + #{between}", Say.sum(between, between)],
                says: "One across makes #{Say.word(between)} and #{Say.word(between)}. That is #{Say.word(w)}." }
            } },

          { id: "double_first", title: "the double first, then the third", for_a: :whole, shapes: %i[three],
            applies: ->(problem) { !pair(problem).nil? },
            recalls: %w[double fact],
            acts: ->(problem) { { gathered: [[pair(problem)] * 2, ([pair(problem)] * 2) + [third(problem)]] } },
            goes: lambda { |problem|
              half, rest, w = pair(problem), third(problem), problem.whole
              { landings: [half, half * 2, w], equations: [Say.sum(half, half), Say.sum(half * 2, rest)],
                says: "#{said(half)}, and #{Say.word(rest)} is #{Say.word(w)}." }
            } }
        ].freeze

        # @return [Integer, nil] a number of two or more that is there twice
        def self.pair(problem) = problem.addends.find { |part| part >= 2 && problem.addends.count(part) >= 2 }
        def self.third(problem) = problem.whole - (pair(problem) * 2)
      end
    end
  end
end
