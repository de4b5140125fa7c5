# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      # Rung 3, by five-and-some, ten-and-some, tens and ones.
      module FivesAndTens
        def self.tens(number) = number - (number % 10)
        def self.ones(number) = number % 10

        # A whole that is a known number and some: put together, or seen as its two parts.
        AND_SOME = lambda { |problem|
          next { gathered: [problem.addends.take(1), problem.addends] } if problem.add?

          { gathered: [[problem.given, problem.sought]] }
        }
        SAID_AND_SOME = lambda { |problem|
          w, p, q = problem.whole, problem.given, problem.sought
          a, b = problem.addends
          if problem.add?
            next { landings: [a, w], equations: [Say.sum(a, b)],
                   says: "#{Say.open(a)} and #{Say.word(b)} is #{Say.word(w)}." }
          end

          { landings: [w, q], equations: [Say.sum(p, q), Say.difference(w, p)],
            says: "#{Say.open(w)} is #{Say.word(p)} and #{Say.word(q)}, so #{Say.word(q)}." }
        }

        ENTRIES = [
          { id: "five_some", title: "sees five and some", practised: "Fives and some", for_a: :either, draws: :frame,
            applies: ->(problem) { problem.parts.include?(5) && problem.smaller >= 1 && problem.whole <= 10 },
            recalls: %w[five], acts: AND_SOME, goes: SAID_AND_SOME },

          { id: "five_and", title: "five and five, then the rest",
            practised: "Fives in both", for_a: :whole, draws: :rack,
            applies: ->(problem) { problem.smaller >= 5 && problem.larger.between?(6, 9) },
            splits: ->(problem) { problem.parts.count { |part| part > 5 } },
            recalls: ->(problem) { problem.smaller > 5 ? %w[partner ten_and fact] : %w[partner ten_and] },
            acts: ->(problem) { { gathered: [problem.addends, [10, problem.whole - 10]] } },
            goes: lambda { |problem|
              a, b = problem.addends.map { |part| part - 5 }
              both = a.positive? && b.positive?
              said = if both
                       "#{Say.word(a)} and #{Say.word(b)} is #{Say.word(a + b)}"
                     else
                       "the #{Say.word(a + b)} " \
                         "that is over"
                     end
              { landings: [5, 10, problem.whole],
                equations: [Say.sum(5, 5), *(Say.sum(a, b) if both), Say.sum(10, a + b)],
                says: "Five and five is ten, and #{said}: #{Say.word(problem.whole)}." }
            } },

          { id: "ten_and", title: "sees ten and some", practised: "Ten and some", for_a: :either, draws: :frame,
            applies: ->(problem) { problem.parts.include?(10) && problem.whole.between?(11, 19) },
            recalls: %w[ten_and], acts: AND_SOME, goes: SAID_AND_SOME },

          { id: "place_value", title: "tens and ones", practised: "Tens and ones", for_a: :whole, draws: :bundles,
            applies: lambda { |problem|
              problem.larger >= 11 && problem.smaller >= 1 && problem.whole <= 100 &&
                problem.parts.any? { |part| ones(part).positive? }
            },
            splits: ->(problem) { problem.parts.count { |part| part >= 11 && ones(part).positive? } },
            recalls: lambda { |problem|
              [*("fact" if problem.smaller >= 10), *("fact" if problem.parts.all? do |part|
                ones(part).positive?
              end), "ten_and"]
            },
            acts: ->(problem) { { gathered: [problem.addends, [problem.whole]] } },
            goes: lambda { |problem|
              w = problem.whole
              all_tens, all_ones = problem.addends.map { |part| tens(part) }, problem.addends.map { |part| ones(part) }
              sides = [all_tens, all_ones].map { |side| side.reject(&:zero?) }.select { |side| side.size == 2 }
              said = sides.map { |one, other| "#{Say.word(one)} and #{Say.word(other)} is #{Say.word(one + other)}" }
              last = "#{Say.word(all_tens.sum)} and #{Say.word(all_ones.sum)} is #{Say.word(w)}"
              { landings: [all_tens.sum, w], pieces: [all_tens.sum, all_ones.sum],
                equations: [*sides.map { |side| Say.sum(*side) }, Say.sum(all_tens.sum, all_ones.sum)],
                says: "#{Rungs.capital([*said, last].join(', '))}." }
            } },

          { id: "place_value_apart", title: "takes tens from tens and ones from ones",
            practised: "Tens and ones apart", for_a: :part, draws: :bundles,
            applies: lambda { |problem|
              w, p = problem.whole, problem.given
              [w, p].min >= 11 && problem.sought >= 1 && ones(w) >= ones(p) && [w, p].any? do |each|
                ones(each).positive?
              end
            },
            splits: 2, recalls: %w[fact fact ten_and],
            goes: lambda { |problem|
              w, p, q = problem.whole, problem.given, problem.sought
              left_tens, left_ones = tens(w) - tens(p), ones(w) - ones(p)
              said = [[tens(w), tens(p)], [ones(w), ones(p)]].map do |whole, taken|
                "#{Say.word(whole)} take away #{Say.word(taken)} is #{Say.word(whole - taken)}"
              end
              { landings: [left_tens, q].uniq, pieces: [left_tens, left_ones],
                equations: [Say.difference(tens(w), tens(p)), Say.difference(ones(w), ones(p)),
                            Say.sum(left_tens, left_ones)],
                says: "#{Rungs.capital(said.join(', '))}: #{Say.word(q)}." }
            } }
        ].freeze
      end
    end
  end
end
