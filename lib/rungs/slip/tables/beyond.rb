# frozen_string_literal: true

module Rungs
  class Slip
    module Tables
      # With tens and ones: for a whole, and for a part that is sought, taken away or missing.
      module Beyond
        # A multiple of ten from twenty on.
        ROUND = ->(number) { number >= 20 && (number % 10).zero? }
        ONES = ->(number) { number % 10 }
        TENS = ->(number) { number - (number % 10) }
        WITH_ONES = ->(number) { number >= 11 && (number % 10).positive? }
        TWO = ->(problem) { problem.shape == :two }

        # The two numbers of a sum in both orders, where the first is such a one.
        EACH = lambda do |problem, fits|
          TWO.call(problem) ? problem.addends.permutation.select { |one, _| fits.call(one) } : []
        end
        TEEN_AND_FEW = lambda do |problem|
          TWO.call(problem) && problem.larger.between?(11, 19) && problem.smaller <= 9 && problem.whole <= 19
        end
        TEEN_LESS_FEW = ->(problem) { problem.whole.between?(11, 19) && problem.given <= ONES.call(problem.whole) }

        ROUND_SUM = ->(problem) { EACH.call(problem, ROUND).any? }
        ROUND_GIVEN = ->(problem) { ROUND.call(problem.given) }

        TOO_FAR = { id: "ten_too_far", title: "a ten too many", prior: 3, rungs: %w[count_on],
                    why: ->(_, answer) { "One ten too many was counted, to #{answer}." },
                    asks: "Count by tens again and put a finger up for each. How many tens was it?" }.freeze
        STARTED = { id: "ten_start_counted", title: "the starting number counted as a ten", prior: 8,
                    rungs: %w[count_on],
                    why: ->(_, answer) { "The number started from was counted as the first ten, so it is #{answer}." },
                    asks: "Where were you before you started counting by tens?" }.freeze
        ONES_LEFT = { id: "ones_left_out", title: "the ones of one number left out", prior: 5, rungs: %w[part_whole],
                      why: ->(_, answer) { "Only the tens of one number were used: #{answer}." },
                      asks: "You used the tens. Are there ones you have not used yet?" }.freeze
        TENS_LEFT = { id: "tens_left_out", title: "tens used as ones", prior: 4,
                      why: ->(_, answer) { "The tens were used as so many ones: #{answer}." },
                      asks: "Is that number tens or ones? Show it with bundles and sticks." }.freeze
        LOST = { id: "ten_of_whole_lost", title: "the ten of the teen number lost", prior: 5, rungs: %w[part_whole],
                 why: ->(_, answer) { "The ones were worked out and the ten was forgotten: #{answer}." },
                 asks: "Show me the teen number with a ten and some ones. Is the ten still there?" }.freeze
        HEARD = { id: "teen_heard_as_ty", title: "a teen number said as tens", prior: 5,
                  answers: ->(problem) { ONES.call(problem.answer) * 10 if problem.answer.between?(13, 19) },
                  why: ->(problem, answer) { "#{problem.answer} was said or heard as #{answer}." },
                  asks: lambda { |problem|
                    teen, ty = [problem.answer, ONES.call(problem.answer) * 10].map { |number| NumberWords.say(number) }
                    "Say it slowly: #{teen} or #{ty}? Show me with tens and ones."
                  } }.freeze

        WHOLE = [
          { **STARTED, answers: ->(problem) { problem.whole - 10 if ROUND_SUM.call(problem) } },
          { **TOO_FAR, answers: ->(problem) { problem.whole + 10 if ROUND_SUM.call(problem) } },
          { **ONES_LEFT, answers: lambda { |problem|
            next unless TWO.call(problem) && problem.parts.all?(&WITH_ONES)

            problem.addends.reverse.map { |part| problem.whole - ONES.call(part) }
          } },
          { **TENS_LEFT,
            answers: ->(problem) { EACH.call(problem, ROUND).map { |round, other| other + (round / 10) } } },
          { **LOST, answers: ->(problem) { problem.whole - 10 if TEEN_AND_FEW.call(problem) } },
          HEARD
        ].freeze

        PART = [
          { **STARTED, answers: ->(problem) { problem.sought + 10 if ROUND_GIVEN.call(problem) } },
          { **TOO_FAR, answers: ->(problem) { problem.sought - 10 if ROUND_GIVEN.call(problem) } },
          { **ONES_LEFT, answers: lambda { |problem|
            problem.whole - TENS.call(problem.given) if WITH_ONES.call(problem.given)
          } },
          { **TENS_LEFT, answers: ->(problem) { problem.whole - (problem.given / 10) if ROUND_GIVEN.call(problem) } },
          { **LOST, answers: ->(problem) { problem.sought - 10 if TEEN_LESS_FEW.call(problem) } },
          HEARD
        ].freeze
      end
    end
  end
end
