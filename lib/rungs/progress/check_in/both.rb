# frozen_string_literal: true

module Rungs
  module Progress
    class CheckIn
      # A check-in with the operation open as well: problems of both, each chosen where an answer tells most. What one
      # operation shows is some evidence for the other, since children mostly take away a little below how they add.
      class Both
        # How likely taking away stands so many steps below adding (guide 4 sets no figure; these are ours).
        BELOW = { -1 => 0.1, 0 => 0.35, 1 => 0.25, 2 => 0.15 }.freeze
        ELSE = 0.03
        CLEAR = 0.8

        attr_reader :answers

        # @param facts [Hash] as CheckIn.start takes them
        def self.start(band: nil, facts: {})
          new(Problem::OPERATIONS.to_h do |operation|
            [operation, CheckIn.start(operation: operation, band: band, facts: facts)]
          end, [])
        end

        # @param alone [Hash{String => CheckIn}] what each operation's own answers say
        def initialize(alone, answers)
          @alone = alone
          @answers = answers.freeze
          freeze
        end

        def hear(problem, rung, right: true)
          heard = @alone.fetch(problem.operation).hear(problem, rung, right: right)
          Both.new(@alone.merge(problem.operation => heard), answers + heard.answers.last(1))
        end

        def choose(random)
          return if done?

          telling = @alone.keys.filter_map { |operation| within(operation).most_telling(random) }
          telling.max_by { |_, bits| bits.round(9) }&.first
        end

        def found = @alone.keys.to_h { |operation| [operation, within(operation).standing] }

        def clear?
          answers.count(&:rung) >= LEAST && @alone.keys.all? do |operation|
            within(operation).then { |one| one.known? || one.confidence >= CLEAR }
          end
        end

        def done? = clear? || answers.size >= MOST

        def summary
          doing = NoteDraft::DOING.slice(*@alone.keys)
          doing.map { |operation, words| "#{Rungs.capital(words)}: #{sentence_on(within(operation))}" }.join(" ")
        end

        private

        # One operation's check-in in the light of the other's answers too.
        def within(operation)
          own, other = @alone.fetch(operation), @alone.fetch((@alone.keys - [operation]).first)
          likely = own.chances.to_h do |standing, chance|
            [standing, chance * likelihood_beside(operation, standing, other.chances)]
          end
          total = likely.values.sum
          CheckIn.new(operation: operation, band: own.band, answers: own.answers, facts: own.facts,
                      chances: likely.transform_values { |each| each / total })
        end

        # How likely a standing is by what is known of the other operation.
        def likelihood_beside(operation, standing, others)
          others.sum do |there, share|
            below = operation == "add" ? steps(standing, there) : steps(there, standing)
            share * BELOW.fetch(below, ELSE)
          end
        end

        def sentence_on(one) = one.summary(clear: one.known? || one.confidence >= CLEAR).sub(/\A./, &:downcase)
        def steps(adding, taking_away) = height(adding) - height(taking_away)
        def height(standing) = (BANDS.index(standing.band).to_i * 4) + standing.rung
      end
    end
  end
end
