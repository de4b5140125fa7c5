# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      # Rung 2 in equal steps. The unit is ten where both numbers are made of tens, else five, else two. What a problem
      # invites leaves these out: a step of two is no less to think about than a step of one.
      module Skip
        UNITS = { 10 => "tens", 5 => "fives", 2 => "twos" }.freeze

        # @return [Integer, nil] the first of ten, five and two that all numbers are multiples of
        def self.unit(*numbers) = UNITS.keys.find { |unit| numbers.all? { |number| (number % unit).zero? } }

        # Down or up between a part and the whole.
        FITS = lambda do |problem, steps|
          unit = unit(problem.whole, problem.given)
          !unit.nil? && steps >= unit && problem.whole > unit * 2
        end

        # What is said and landed on from one number to another.
        def self.walk(from, to, unit)
          landings = from.step(to, to < from ? -unit : unit).to_a
          { landings: landings, says: "#{Say.counting(from, landings.drop(1))} I went in #{UNITS.fetch(unit)}." }
        end

        ENTRIES = [
          { id: "skip", title: "in equal steps", practised: "On by tens", for_a: :whole, usual: false, pulls: false,
            applies: lambda { |problem|
              unit = unit(*problem.parts)
              !unit.nil? && problem.smaller >= unit && problem.larger > unit
            },
            counts: ->(problem) { problem.smaller / unit(*problem.parts) },
            acts: ->(problem) { { gathered: [[problem.larger], [problem.larger, problem.smaller]] } },
            goes: lambda { |problem|
              { equations: [Say.sum(problem.larger, problem.smaller)],
                **walk(problem.larger, problem.whole, unit(*problem.parts)) }
            } },

          { id: "skip_back", title: "back in equal steps",
            practised: "Back by tens", for_a: :part, usual: false, pulls: false,
            applies: ->(problem) { FITS.call(problem, problem.given) },
            counts: ->(problem) { problem.given / unit(problem.whole, problem.given) },
            goes: lambda { |problem|
              w, p, q = problem.whole, problem.given, problem.sought
              { equations: [Say.difference(w, p)], **walk(w, q, unit(w, p)) }
            } },

          { id: "skip_up", title: "up in equal steps",
            practised: "Up by tens", for_a: :part, usual: false, pulls: false,
            applies: ->(problem) { FITS.call(problem, problem.sought) },
            counts: ->(problem) { problem.sought / unit(problem.whole, problem.given) },
            acts: Acting::BUILT_UP,
            goes: lambda { |problem|
              w, p, q = problem.whole, problem.given, problem.sought
              { answer: q, equations: [Say.sum(p, q)], **walk(p, w, unit(w, p)) }
            } }
        ].freeze
      end
    end
  end
end
