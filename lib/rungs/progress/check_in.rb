# frozen_string_literal: true

module Rungs
  module Progress
    # Problems for one child, one after the other, each of a fact that tells and is not known, chosen to tell most about
    # how the child works it out; stopping when that is clear or the range is known. Immutable: every answer gives a new
    # check-in.
    #
    # It holds probabilities over standings. In a given band a standing is the rung worked out by there. With the band
    # open it is a band and a rung: in easier bands most facts are known and the rest worked out as well as can be, in
    # this band that rung is used, in harder ones everything is counted.
    #
    #   check = CheckIn.start(operation: "add", band: "bridge")
    #   check.choose(Random.new(1)).problem   # => a problem
    #   check = check.hear(problem, 2)        # counted on
    class CheckIn
      Rungs.shelve self
      include Likelihood
      include Words

      Standing = Struct.new(:band, :rung)
      # right: whether the answer was.
      Answer = Struct.new(:problem, :rung, :right, keyword_init: true)
      # why: the reason of the choice, for the teacher.
      Choice = Struct.new(:problem, :why, keyword_init: true)

      LEAST = 4
      MOST = 10
      CLEAR = 0.88
      BANDS = %w[to5 to10 bridge].freeze

      attr_reader :operation, :band, :answers, :chances, :facts

      # @param operation ["add", "subtract", "both"] "both" leaves it open
      # @param band [String, nil] nil leaves it open among BANDS
      # @param facts [Hash{String => Hash{Array<Integer> => Boolean}}] by operation the exact facts heard before, and
      #   whether each is known
      # @return [CheckIn, Both]
      # @raise [Error::Unknown]
      def self.start(operation:, band: nil, facts: {})
        return Both.start(band: band, facts: facts) if operation == "both"

        unless Problem::Pool::RESULT.key?(operation)
          raise Error::Unknown,
                "there is no operation “#{operation}”; there are #{Problem::OPERATIONS.join(', ')}"
        end

        Problem::Band::ALL.fetch(band) if band
        standings = (band ? [band] : BANDS).flat_map { |each| standings_in(operation, each) }
        new(operation: operation, band: band, answers: [], facts: facts.fetch(operation, {}),
            chances: standings.to_h { |standing| [standing, 1.0 / standings.size] })
      end

      def self.standings_in(operation, band)
        Scope.of(operation, band).levels.map { |rung| Standing.new(band, rung) }
      end

      # Both ways round; those of a number and nothing, of one more, and doubles say nearly nothing.
      POOLS = Hash.new do |all, (operation, band)|
        all[[operation, band]] = Problem::Pool.of(operation, band).problems.select(&:tells?)
      end
      private_constant :POOLS

      def self.pool(operation, band) = POOLS[[operation, band]]
      private_class_method :standings_in

      def initialize(operation:, band:, answers:, chances:, facts:)
        @operation = operation
        @band = band
        @answers = answers.freeze
        @chances = chances.freeze
        @facts = facts.freeze
        freeze
      end

      # @param problem [Problem]
      # @param rung [Integer, nil] what was seen, 1..5; nil where it was off the ladder
      # @param right [Boolean] whether the answer was
      # @return [CheckIn]
      def hear(problem, rung, right: true)
        likely = rung ? chances.to_h { |each, chance| [each, chance * likelihood(each, problem, rung)] } : chances
        total = likely.values.sum
        answer = Answer.new(problem: problem, rung: rung, right: right)
        CheckIn.new(operation: operation, band: band, answers: answers + [answer], facts: after(problem, rung, right),
                    chances: likely.transform_values { |each| each / total })
      end

      # @return [Standing] the likeliest; of equals the lower
      def standing = chances.max_by { |each, chance| [chance, -BANDS.index(each.band).to_i, -each.rung] }.first
      def confidence = chances.fetch(standing)
      def clear? = known? || (worked_out >= LEAST && confidence >= CLEAR)
      def done? = clear? || answers.size >= MOST

      # Whether the child knows the range it stands in; with the band open, the last there is.
      def known? = (band || standing.band == BANDS.last) && knowing.range?

      # @param random [Random]
      # @return [Choice, nil] nil when it is done
      def choose(random) = done? ? nil : most_telling(random)&.first

      # @return [Array(Choice, Float), nil] the problem that tells most and how many bits; nil where all were asked
      def most_telling(random)
        problem, bits = by_information.lazy.map { |kind, bits| [not_asked_yet(kind, random), bits] }.find(&:first)
        problem && [Choice.new(problem: problem, why: reason(problem)), bits]
      end

      # Where it is not clear how a child works: the problems of a band that would tell most about it.
      # @param chances [Array<Float>] of the rungs from 1 up
      # @param history [NextProblems::History] whose known facts, and those asked last, are left out
      # @return [Array<Problem>] no more than count, of different facts
      def self.telling(operation:, band:, chances:, history:, count:)
        there = chances.each_with_index.to_h { |chance, index| [Standing.new(band, index + 1), chance] }
        start = new(operation: operation, band: band, answers: [], chances: there, facts: history.known)
        fresh = start.by_information.flat_map do |kind, _|
          left = kind.reject { |problem| history.leaves_out?(problem, nil) }
          left.map(&:fact).uniq.shuffle(random: Random.new(history.last.flatten.sum))
        end
        fresh.uniq.first(count).map { |small, large| Problem::Pool.bare(operation, large, small) }
      end

      # @return [Array<Array(Array<Problem>, Float)>] problems that are alike, and how many bits one of them would tell,
      #   most first
      def by_information
        telling = kinds.map { |kind| [kind, information(kind.first)] }
        telling.sort_by { |kind, bits| [-bits.round(9), bands.index(kind.first.band)] }
      end

      # @return [Hash{String => Standing}] by operation
      def found = { operation => standing }

      # What is known where the child stands.
      # @return [Knowing]
      def knowing
        scope = Scope.of(operation, standing.band)
        there = facts.select { |fact, _| known_fact?(fact, standing.band) }
        among = there.count { |fact, known| known && parts_of(fact) == scope.among }
        Knowing.new(heard: there.size, known: there.values.count(true), pivots: among, day: nil, scope: scope)
      end

      private

      def after(problem, rung, right)
        fact = problem.exact_fact
        return facts unless rung && fact

        heard = Record.new(rung: rung, right: right, help: "alone")
        facts.merge(fact => Knowing.after(facts[fact], heard))
      end

      def parts_of(fact) = operation == "add" ? fact : [fact.last, fact.first - fact.last].sort

      def known_fact?(fact, band)
        parts = parts_of(fact)
        Problem::Band.of(parts) == band && Problem::Band::ALL.fetch(band).tells?(parts)
      end

      def worked_out = answers.count { |answer| answer.rung && answer.rung < 5 }
      def bands = band ? [band] : BANDS
      def level(problem, rung) = Scope.of(operation, problem.band).level(rung)

      # One not asked yet and not known, rather of a fact not asked yet.
      def not_asked_yet(kind, random)
        taken = answers.map { |answer| answer.problem.parts }
        kind.reject do |problem|
          taken.include?(problem.parts) || facts[problem.exact_fact]
        end.min_by { |each| [asked(each), random.rand] }
      end

      def asked(problem) = answers.count { |answer| answer.problem.fact == problem.fact }
    end
  end
end
