# frozen_string_literal: true

module Rungs
  module Progress
    # Problems for one child, one after the other, each chosen to tell most about where the child is, stopping when that
    # is clear. Immutable: every answer gives a new check-in.
    #
    # It holds probabilities over standings. In a given band a standing is the rung mostly used there. With the band
    # open it is a band and a rung: easier bands are known, in this band that rung is used, in harder ones everything is
    # counted.
    #
    #   check = CheckIn.start(operation: "add", band: "bridge")
    #   check.choose(Random.new(1)).problem   # => a problem
    #   check = check.hear(problem, 2)        # counted on
    class CheckIn
      Rungs.shelve self

      Standing = Struct.new(:band, :rung)
      Answer = Struct.new(:problem, :rung, keyword_init: true)
      # why: the reason of the choice, for the teacher.
      Choice = Struct.new(:problem, :why, keyword_init: true)

      LEAST = 6
      MOST = 10
      CLEAR = 0.88
      BANDS = %w[to5 to10 bridge].freeze
      LEVELS = (1..5)

      attr_reader :operation, :band, :answers, :chances

      # @param operation ["add", "subtract", "both"] "both" leaves it open
      # @param band [String, nil] nil leaves it open among BANDS
      # @return [CheckIn, Both]
      # @raise [Error::Unknown]
      def self.start(operation:, band: nil)
        return Both.start(band: band) if operation == "both"

        unless Problem::Pool::RESULT.key?(operation)
          raise Error::Unknown,
                "there is no operation “#{operation}”; there are #{Problem::OPERATIONS.join(', ')}"
        end

        Problem::Band::ALL.fetch(band) if band
        standings = band ? seen_in(operation, band).map { |rung| Standing.new(band, rung) } : open_standings(operation)
        new(operation: operation, band: band, answers: [], chances: standings.to_h do |standing|
          [standing, 1.0 / standings.size]
        end)
      end

      # Knowing a whole band is standing at the foot of the next, but for the last.
      def self.open_standings(operation)
        BANDS.flat_map do |band|
          rungs = seen_in(operation, band)
          rungs -= [5] unless band == BANDS.last
          rungs.map { |rung| Standing.new(band, rung) }
        end
      end

      # The rungs that some problem of a band lets show.
      def self.seen_in(operation, band) = pool(operation, band).flat_map(&:affords).uniq.sort

      POOLS = Hash.new { |all, (operation, band)| all[[operation, band]] = Problem::Pool.of(operation, band).problems }
      private_constant :POOLS

      def self.pool(operation, band) = POOLS[[operation, band]]
      private_class_method :open_standings, :seen_in

      def initialize(operation:, band:, answers:, chances:)
        @operation = operation
        @band = band
        @answers = answers.freeze
        @chances = chances.freeze
        freeze
      end

      # @param problem [Problem]
      # @param rung [Integer, nil] what was seen, 1..5; nil where it was off the ladder
      # @return [CheckIn]
      def hear(problem, rung)
        likely = if rung
                   chances.to_h do |standing, chance|
                     [standing, chance * likelihood(standing, problem, rung)]
                   end
                 else
                   chances
                 end
        total = likely.values.sum
        CheckIn.new(operation: operation, band: band, answers: answers + [Answer.new(problem: problem, rung: rung)],
                    chances: likely.transform_values { |each| each / total })
      end

      # @return [Standing] the likeliest; of equals the lower
      def standing = chances.max_by { |each, chance| [chance, -BANDS.index(each.band).to_i, -each.rung] }.first
      def confidence = chances.fetch(standing)
      def clear? = weighed >= LEAST && confidence >= CLEAR
      def done? = clear? || answers.size >= MOST

      # @param random [Random]
      # @return [Choice, nil] nil when it is done
      def choose(random) = done? ? nil : most_telling(random)&.first

      # @return [Array(Choice, Float), nil] the problem that tells most and how many bits; nil where all were asked
      def most_telling(random)
        problem, bits = by_information.lazy.map { |kind, bits| [fresh(kind, random), bits] }.find(&:first)
        problem && [Choice.new(problem: problem, why: reason(problem)), bits]
      end

      # Where a child’s working rung is not clear: the problems of a band that would tell most about it.
      # @param chances [Array<Float>] of the rungs 1 to 5
      # @param last [Array<Array<Integer>>] facts that are not asked again
      # @return [Array<Problem>] no more than count, of different facts
      def self.telling(operation:, band:, chances:, last:, count:)
        rungs = seen_in(operation, band)
        total = rungs.sum { |rung| chances[rung - 1] }
        there = rungs.to_h { |rung| [Standing.new(band, rung), chances[rung - 1] / total] }
        kinds = new(operation: operation, band: band, answers: [], chances: there).by_information.map(&:first)
        facts = kinds.lazy.flat_map { |kind| kind.map(&:fact).uniq.shuffle(random: Random.new(last.flatten.sum)) }
        fresh = facts.uniq.reject { |fact| last.include?(fact) }.first(count)
        fresh.map { |small, large| Problem::Pool.bare(operation, large, small) }
      end

      # @return [Array<Array(Array<Problem>, Float)>] problems that are alike, and how many bits one of them would tell,
      #   most first
      def by_information
        telling = kinds.map { |kind| [kind, information(kind.first)] }
        telling.sort_by { |kind, bits| [-bits.round(9), bands.index(kind.first.band)] }
      end

      # @return [Hash{String => Standing}] by operation
      def found = { operation => standing }

      # @param clear [Boolean] whether to say so
      # @return [String] what was found and the evidence for it
      def summary(clear: clear?)
        there = answers.select { |answer| answer.rung && answer.problem.band == standing.band }
        shown = there.select { |answer| answer.rung == standing.rung }.map { |answer| answer.problem.solved.to_s }
        found = "#{Strategy::Rung.at(standing.rung).doing}, #{Problem::Band::ALL.fetch(standing.band).title}"
        "#{clear ? 'Works mostly by' : 'Not clear yet; likeliest is'} #{found}: " \
          "seen in #{shown.size} of #{there.size} answers there#{", #{shown.join('; ')}" if shown.any?}."
      end

      private

      def weighed = answers.count(&:rung)
      def bands = band ? [band] : BANDS

      # The rung a child so standing mostly uses in a band.
      def mostly(standing, in_band)
        return standing.rung if in_band == standing.band

        BANDS.index(in_band) < BANDS.index(standing.band) ? 5 : 1
      end

      def likelihood(standing, problem, rung) = SHARES[problem.affords][mostly(standing, problem.band) - 1][rung - 1]

      # By what a problem affords: from each rung mostly used, how likely each rung is seen.
      SHARES = Hash.new do |all, affords|
        all[affords] = LEVELS.map do |from|
          LEVELS.map { |rung| Rule::DEFAULT.share(rung, from: from, affords: affords) }
        end
      end
      private_constant :SHARES

      # Problems alike in band and in what they let show. A band above one where the child most probably counts
      # everything is not asked.
      def kinds = bands.reject { |each| out_of_reach?(each) }.flat_map { |each| KINDS[[operation, each]] }

      KINDS = Hash.new do |all, (operation, band)|
        all[[operation, band]] = CheckIn.pool(operation, band).group_by(&:affords).values
      end
      private_constant :KINDS

      # One not asked yet, rather of a fact not asked yet.
      def fresh(kind, random)
        taken = answers.map { |answer| answer.problem.parts }
        kind.reject { |problem| taken.include?(problem.parts) }.min_by { |each| [asked(each), random.rand] }
      end

      def out_of_reach?(in_band)
        place = BANDS.index(in_band)
        return false if band || place.zero?

        below = chances.select { |standing, _| BANDS.index(standing.band) < place && standing.rung <= 2 }
        below.values.sum > 0.5
      end

      # Expected information in bits: what hearing the answer would take away from not knowing.
      def information(problem)
        rows = chances.map { |standing, chance| [chance, SHARES[problem.affords][mostly(standing, problem.band) - 1]] }
        left = problem.affords.sum do |rung|
          joint = rows.map { |chance, shares| chance * shares[rung - 1] }
          total = joint.sum
          total.positive? ? total * uncertainty(joint.map { |each| each / total }) : 0
        end
        uncertainty(chances.values) - left
      end

      def uncertainty(shares) = -shares.sum { |share| share.positive? ? share * Math.log2(share) : 0 }
      def asked(problem) = answers.count { |answer| answer.problem.fact == problem.fact }

      def reason(problem)
        first, second = chances.max_by(2) { |_, chance| chance }.map(&:first)
        return "A first look, #{Problem::Band::ALL.fetch(problem.band).title}." if answers.none?(&:rung)

        shows = [first, second].any? { |standing| problem.affords.include?(standing.rung) }
        "#{where(first)} or #{where(second)}? #{problem} lets #{shows ? 'that show' : 'the rungs below show'}."
      end

      def where(standing)
        place = ", #{Problem::Band::ALL.fetch(standing.band).title}" unless band
        Rungs.capital("#{Strategy::Rung.at(standing.rung).doing}#{place}")
      end
    end
  end
end
