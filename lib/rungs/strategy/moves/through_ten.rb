# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      # Rung 4 where both parts are below ten and the whole is beyond it.
      module ThroughTen
        FITS = ->(problem) { problem.band == "bridge" }

        # The smaller number is broken: what fills the ten, and the rest.
        FILLED = lambda do |problem|
          hi, lo = problem.larger, problem.smaller
          { gathered: [[hi, lo]], moved: 10 - hi, broken: [problem.parts.index(lo), [10 - hi, problem.whole - 10]] }
        end

        # Nine taken as ten, and one put right at the end.
        AS_TEN = lambda do |problem|
          next { gathered: [[problem.whole]], taken: [10, 9] } unless problem.add?

          { gathered: [[9, problem.smaller], [10, problem.smaller]], taken: [1] }
        end

        ENTRIES = [
          { id: "up_through_ten", title: "up through ten", practised: "Up through ten", for_a: :whole, draws: :frame,
            applies: FITS, splits: 1, recalls: %w[partner ten_and], acts: FILLED,
            goes: lambda { |problem|
              hi, w = problem.larger, problem.whole
              fill, rest = 10 - hi, w - 10
              { landings: [hi, 10, w],
                equations: ["#{Say.asked(problem)} = #{hi} + #{fill} + #{rest}", Say.sum(hi, fill), Say.sum(10, rest)],
                says: "#{Say.open(hi)} and #{Say.word(fill)} is ten, and #{Say.word(rest)} more is #{Say.word(w)}." }
            } },

          { id: "give_to_ten", title: "gives to make a ten",
            practised: "Give to make ten", for_a: :whole, draws: :frame,
            applies: FITS, splits: 1, recalls: %w[partner ten_and], acts: FILLED,
            goes: lambda { |problem|
              hi, w = problem.larger, problem.whole
              rest = w - 10
              { landings: [10, w], equations: ["#{Say.asked(problem)} = 10 + #{rest}", Say.sum(10, rest)],
                says: "I give #{Say.word(10 - hi)} to the #{Say.word(hi)}. Ten and #{Say.word(rest)} is " \
                      "#{Say.word(w)}." }
            } },

          { id: "nine_as_ten", title: "takes nine as ten, less one",
            practised: "Nine as ten", for_a: :either, draws: :frame, usual: false,
            applies: lambda { |problem|
              nine, other = problem.add? ? [problem.larger, problem.smaller] : [problem.given, problem.sought]
              FITS.call(problem) && nine == 9 && other >= 3
            },
            recalls: %w[ten_and], counts: 1, acts: AS_TEN,
            goes: lambda { |problem|
              lo, w, q = problem.smaller, problem.whole, problem.sought
              if problem.add?
                next { landings: [10, 10 + lo, w], equations: [Say.sum(10, lo), Say.difference(10 + lo, 1)],
                       says: "Ten and #{Say.word(lo)} is #{Say.word(10 + lo)}, and one less is #{Say.word(w)}." }
              end

              { landings: [w, w - 10, q], equations: [Say.difference(w, 10), Say.sum(w - 10, 1)],
                says: "I take ten: #{Say.word(w - 10)}. I give one back: #{Say.word(q)}." }
            } },

          { id: "back_through_ten", title: "back through ten", practised: "Back through ten", for_a: :part,
            applies: FITS, splits: 1, recalls: %w[ten_and partner],
            acts: lambda { |problem|
              w, p = problem.whole, problem.given
              { gathered: [[w]], taken: [w - 10, p], broken: [problem.parts.index(p), [w - 10, p - (w - 10)]] }
            },
            goes: lambda { |problem|
              w, p, q = problem.whole, problem.given, problem.sought
              first, second = w - 10, 10 - q
              { landings: [w, 10, q],
                equations: ["#{w} − #{p} = #{w} − #{first} − #{second}", Say.difference(w, first),
                            Say.difference(10, second)],
                says: "#{Say.open(w)} back #{Say.word(first)} is ten, and #{Say.word(second)} more back is " \
                      "#{Say.word(q)}." }
            } },

          { id: "ten_minus", title: "takes from the ten", practised: "Take from the ten", for_a: :part, draws: :frame,
            applies: FITS, splits: 1, recalls: %w[partner ten_and],
            acts: ->(problem) { { gathered: [[problem.whole]], taken: [problem.given], from: :first } },
            goes: lambda { |problem|
              w, p, q = problem.whole, problem.given, problem.sought
              left, ones = 10 - p, w - 10
              { landings: [10, left, q], equations: ["#{w} = 10 + #{ones}", Say.difference(10, p), Say.sum(left, ones)],
                says: "Ten take away #{Say.word(p)} is #{Say.word(left)}, and the #{Say.word(ones)} makes " \
                      "#{Say.word(q)}." }
            } },

          { id: "up_through_ten_to", title: "up through ten to the whole", practised: "Up through ten", for_a: :part,
            applies: FITS, splits: 1, recalls: %w[partner ten_and],
            acts: lambda { |problem|
              { gathered: [[problem.given], [problem.given, 10 - problem.given], [problem.given, problem.sought]] }
            },
            goes: lambda { |problem|
              w, p, q = problem.whole, problem.given, problem.sought
              first, second = 10 - p, w - 10
              { landings: [p, 10, w], answer: q,
                equations: [Say.sum(p, first), Say.sum(10, second), Say.sum(first, second)],
                says: "#{Say.open(p)} and #{Say.word(first)} is ten, and #{Say.word(second)} more is #{Say.word(w)}. " \
                      "That is #{Say.word(q)}." }
            } }
        ].freeze
      end
    end
  end
end
