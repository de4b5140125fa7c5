# frozen_string_literal: true

module Rungs
  class Problem
    # All the problems of one kind: a situation, a band, and if wanted a family. Zero, and taking it all away,
    # are in it only when asked for (guide 3.4).
    #
    #   Pool.new(situation: "add_to.result", band: "to5").draw(4, random: Random.new(7))
    class Pool
      attr_reader :situation, :band, :family

      # Finding the whole, or what is left.
      RESULT = { "add" => "add_to.result", "subtract" => "take_from.result" }.freeze

      # @param operation ["add", "subtract"]
      # @return [Pool]
      def self.of(operation, band) = new(situation: RESULT.fetch(operation), band: band)

      # A bare problem of an operation: 9 + 5 = □, or for taking away 14 − 9 = □.
      # @return [Problem]
      def self.bare(operation, first, second)
        Problem.new(parts: [first, second], unknown: operation == "add" ? :whole : :second)
      end

      # @param situation [String] an id of Situation::ALL
      # @param band [String] an id of Band::ALL
      # @param family [String, nil] an id of Family::ALL
      # @param zero [Boolean] whether a part may be 0
      # @param turned [Boolean] whether p + q and q + p are two problems
      # @raise [Error::Unknown]
      def initialize(situation:, band:, family: nil, zero: family == "zero", turned: false)
        @situation = Situation::ALL.fetch(situation)
        @band = Band::ALL.fetch(band)
        @family = family && Family::ALL.fetch(family)
        @zero = zero
        @turned = turned
      end

      # @return [Array<Problem>] every one of them, both ways round
      def problems
        @problems ||= tuples.select do |parts|
          fits?(parts)
        end.map { |parts| problem(parts) }.select { |each| tellable?(each) }
      end

      # @return [Integer] how many different ones there are
      def count = @count ||= keys.uniq.size

      # @param number [Integer] how many
      # @param random [Random]
      # @param except [Array<Problem>] problems not to be given again
      # @return [Array<Problem>] no fact twice, none given away by the one before
      # @raise [Error::TooMany] saying how many there are
      def draw(number, random:, except: [])
        taken = except.map { |problem| key(problem) }
        there = taken.empty? ? count : (keys.uniq - taken).size
        refuse(number, there, taken.any?) if there < number

        free = problems.shuffle(random: random).lazy.uniq { |problem| key(problem) }
        spread(free.reject { |problem| taken.include?(key(problem)) }.first(number + OF_ONE_FACT), number)
      end

      # Problems that one fact has at most, and so the most that wait their turn.
      OF_ONE_FACT = 2
      private_constant :OF_ONE_FACT

      # Bare equations, as many as there are of those wanted.
      # @return [Array<String>] "7 + 5 = □"
      def equations(wanted, random:) = draw([wanted, count].min, random: random).map(&:to_s)

      # What makes two problems one. A sum is the same either way round unless turning round is the point; in a
      # difference, 12 − 5 is not 12 − 7.
      def key(problem)
        return [problem.operation, @turned ? problem.parts : problem.fact] if problem.add? || problem.unknown == :both

        [problem.operation, problem.whole, problem.given]
      end

      private

      def keys = problems.map { |problem| key(problem) }

      # Two parts, or three; an open story gives one number, which all three of its example share.
      def tuples
        return @band.pairs if situation.sizes == [2]

        threes.select { |parts| Band.of(parts) == @band.id }
      end

      def threes
        return (1..@band.largest / 3).map { |each| [each] * 3 } if situation.open

        @band.pairs_below.flat_map { |one, two| (0..(@band.largest - one - two)).map { |three| [one, two, three] } }
      end

      def problem(parts) = Problem.new(situation: situation.id, parts: parts, unknown: situation.unknown)

      def fits?(parts)
        situation.tells?(parts) && (@zero || parts.min.positive?) && (family.nil? || family.fits?(parts))
      end

      # With a part of nothing or of one, or children who plan, only what some story can tell well.
      def tellable?(problem)
        return true unless problem.smaller < 2 || situation.open

        Template::ALL.any? { |template| template.well?(problem) }
      end

      # Takes them in order, but one that the problem before gives away (12 − 7 after 12 − 5) waits its turn.
      def spread(free, number)
        chosen = []
        waiting = free.dup
        while chosen.size < number
          place = waiting.index { |problem| chosen.empty? || problem.fact != chosen.last.fact } || 0
          chosen << waiting.delete_at(place)
        end
        chosen
      end

      def refuse(number, there, some_used)
        kind = [situation.title, band.title, family&.title].compact.join(", ")
        left = some_used ? "#{there} left" : "#{there} in all"
        raise Error::TooMany, "#{number} different problems were asked for, but there are #{left} (#{kind})"
      end
    end
  end
end
