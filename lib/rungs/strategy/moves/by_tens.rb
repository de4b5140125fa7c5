# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      # Beyond twenty: a number is kept whole, the tens of the other go on or off it, then its ones; in steps (rung 2)
      # or at once (rung 3).
      module ByTens
        def self.ones(number) = number % 10
        def self.tens(number) = number - ones(number)

        # The number that is kept, which is no multiple of ten, or the larger; and the other.
        # @return [Array(Integer, Integer)]
        def self.kept_whole(problem)
          problem.parts.partition { |part| ones(part).positive? }.then do |odd, even|
            even.empty? ? odd.sort.reverse : odd + even
          end
        end

        ADDS = lambda do |problem|
          problem.smaller >= 10 && problem.whole <= 100 && problem.parts.any? { |part| ones(part).positive? }
        end
        TAKES = lambda do |problem|
          problem.whole.between?(21, 100) && problem.given >= 10 &&
            [problem.whole, problem.given].any? { |number| ones(number).positive? }
        end

        # Where one stands, tens first and ones after.
        def self.walk(from, by, direction)
          by_tens = (1..by / 10).map { |step| from + (direction * step * 10) }
          [from, *by_tens, *(1..ones(by)).map { |step| (by_tens.last || from) + (direction * step) }]
        end

        # The number taken or added, broken into its tens and ones.
        def self.broken(problem, number) = [problem.parts.index(number), [tens(number), ones(number)]]

        STEPS = [
          { id: "on_by_tens", title: "on by tens, then ones", for_a: :whole, pulls: false,
            applies: ADDS,
            counts: ->(problem) { kept_whole(problem).last.digits.sum },
            acts: ->(problem) { { gathered: [[kept_whole(problem).first], kept_whole(problem)] } },
            goes: lambda { |problem|
              a, b = kept_whole(problem)
              landings = walk(a, b, 1)
              { landings: landings, equations: [Say.sum(a, b)], says: Say.counting(a, landings.drop(1)) }
            } },

          { id: "back_by_tens", title: "back by tens, then ones", for_a: :part, pulls: false,
            applies: TAKES,
            counts: ->(problem) { problem.given.digits.sum },
            goes: lambda { |problem|
              w, p = problem.whole, problem.given
              landings = walk(w, p, -1)
              { landings: landings, equations: [Say.difference(w, p)], says: Say.counting(w, landings.drop(1)) }
            } }
        ].freeze

        ENTRIES = [
          { id: "tens_then_ones", title: "the tens, then the ones", practised: "Tens, then ones", for_a: :whole,
            applies: ->(problem) { ADDS.call(problem) && ones(kept_whole(problem).last).positive? },
            splits: 1, recalls: %w[fact fact],
            acts: lambda { |problem|
              a, b = kept_whole(problem)
              { gathered: [[a], [a, tens(b)], [a + tens(b), ones(b)]], broken: broken(problem, b) }
            },
            goes: lambda { |problem|
              a, b = kept_whole(problem)
              there, w = a + tens(b), problem.whole
              { landings: [a, there, w],
                equations: ["#{Say.asked(problem)} = #{a} + #{tens(b)} + #{ones(b)}", Say.sum(a, tens(b)),
                            Say.sum(there, ones(b))],
                says: "#{Say.open(a)} and #{Say.word(tens(b))} is #{Say.word(there)}, and #{Say.word(ones(b))} more " \
                      "is #{Say.word(w)}." }
            } },

          { id: "tens_then_ones_back", title: "the tens off, then the ones",
            practised: "Tens off, then ones", for_a: :part,
            applies: ->(problem) { TAKES.call(problem) && problem.given >= 11 && ones(problem.given).positive? },
            splits: 1, recalls: %w[fact fact],
            acts: lambda { |problem|
              p = problem.given
              { gathered: [[problem.whole]], taken: [tens(p), p], broken: broken(problem, p) }
            },
            goes: lambda { |problem|
              w, p, q = problem.whole, problem.given, problem.sought
              there = w - tens(p)
              { landings: [w, there, q],
                equations: ["#{w} − #{p} = #{w} − #{tens(p)} − #{ones(p)}", Say.difference(w, tens(p)),
                            Say.difference(there, ones(p))],
                says: "#{Say.open(w)} take away #{Say.word(tens(p))} is #{Say.word(there)}, and " \
                      "#{Say.word(ones(p))} more is #{Say.word(q)}." }
            } }
        ].freeze
      end
    end
  end
end
