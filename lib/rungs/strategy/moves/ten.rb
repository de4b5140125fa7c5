# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      # Rung 4: the empty places of ten, the next ten and the ten below, two of three that make ten.
      module Ten
        def self.ones(number) = number % 10
        def self.next_ten(number) = number - ones(number) + 10

        ENTRIES = [
          { id: "ten_partner", title: "sees the empty places of ten",
            practised: "Partners of ten", for_a: :either, draws: :frame,
            applies: ->(problem) { problem.whole == 10 && problem.smaller.positive? },
            recalls: %w[partner],
            acts: ->(problem) { (problem.add? ? Acting::JOINED : Acting::PLAIN).call(problem) },
            goes: lambda { |problem|
              p, q = problem.add? ? problem.addends : [problem.given, problem.sought]
              filled = "#{Say.open(p)} and #{Say.word(q)} fill the ten"
              next { landings: [p, 10], equations: [Say.sum(p, q)], says: "#{filled}." } if problem.add?

              { landings: [10, q], equations: [Say.sum(p, q), Say.difference(10, p)],
                says: "#{filled}, so #{Say.word(q)}." }
            } },

          { id: "next_ten", title: "up through the next ten", practised: "To the next ten", for_a: :whole,
            applies: lambda { |problem|
              lo, hi = problem.smaller, problem.larger
              hi >= 11 && lo <= 9 && ones(hi) + lo > 10 && problem.whole <= 100
            },
            splits: 1, recalls: %w[partner ten_and],
            acts: lambda { |problem|
              lo, hi = problem.smaller, problem.larger
              fill = next_ten(hi) - hi
              { gathered: [[hi, lo]], moved: fill, broken: [problem.parts.index(lo), [fill, lo - fill]] }
            },
            goes: lambda { |problem|
              hi, w = problem.larger, problem.whole
              ten = next_ten(hi)
              fill, rest = ten - hi, w - ten
              { landings: [hi, ten, w],
                equations: ["#{Say.asked(problem)} = #{hi} + #{fill} + #{rest}", Say.sum(hi, fill), Say.sum(ten, rest)],
                says: "#{Say.open(hi)} and #{Say.word(fill)} is #{Say.word(ten)}, and #{Say.word(rest)} more is " \
                      "#{Say.word(w)}." }
            } },

          { id: "back_to_ten", title: "back through the ten below", practised: "Back to a ten", for_a: :part,
            applies: lambda { |problem|
              problem.whole >= 21 && ones(problem.whole) >= 1 && problem.given.between?(ones(problem.whole) + 1, 9)
            },
            splits: 1, recalls: %w[ten_and partner],
            acts: lambda { |problem|
              first, p = ones(problem.whole), problem.given
              { gathered: [[problem.whole]], taken: [first, p], broken: [problem.parts.index(p), [first, p - first]] }
            },
            goes: lambda { |problem|
              w, p, q = problem.whole, problem.given, problem.sought
              first = ones(w)
              ten, second = w - first, p - first
              { landings: [w, ten, q],
                equations: ["#{w} − #{p} = #{w} − #{first} − #{second}", Say.difference(w, first),
                            Say.difference(ten, second)],
                says: "#{Say.open(w)} back #{Say.word(first)} is #{Say.word(ten)}, " \
                      "and #{Say.word(second)} more back is #{Say.word(q)}." }
            } },

          { id: "ten_pair", title: "the pair that makes ten first", for_a: :whole, shapes: %i[three],
            applies: ->(problem) { !pair(problem).nil? },
            recalls: ->(problem) { ["partner", problem.whole - 10 > 9 ? "fact" : "ten_and"] },
            acts: ->(problem) { { gathered: [pair(problem), [*pair(problem), problem.whole - 10]] } },
            goes: lambda { |problem|
              (one, other), rest, w = pair(problem), problem.whole - 10, problem.whole
              { landings: [one, 10, w], equations: [Say.sum(one, other), Say.sum(10, rest)],
                says: "#{Say.open(one)} and #{Say.word(other)} is ten, and #{Say.word(rest)} is #{Say.word(w)}." }
            } }
        ].freeze

        # @return [Array(Integer, Integer), nil] the first two of three that make ten
        def self.pair(problem) = problem.addends.combination(2).find { |pair| pair.sum == 10 }
      end
    end
  end
end
