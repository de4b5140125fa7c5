# frozen_string_literal: true

module Rungs
  class Problem
    # The same story with an easier, a middle and a harder pair, so that each group gets numbers that fit (guide 2).
    #
    #   NumberSets.for(problem, random: Random.new(1))  # => { easier: problem, middle: problem, harder: problem }
    module NumberSets
      # From band to band as the range widens; for the numbers of one story tens stand beside the way.
      ORDER = %w[to5 to10 teens to20 bridge tens to100].freeze
      LADDER = (ORDER - %w[tens]).freeze
      BESIDE = { "tens" => %w[to10 to100] }.freeze

      module_function

      # @param problem [Problem] the middle one
      # @param random [Random]
      # @return [Hash{Symbol => Problem}] easier from the band below, harder from the band above, with whole and smaller
      #   part no bigger (or no smaller) than its own; else such a pair of its own band
      # @raise [Error::TooMany] where there is none
      def for(problem, random:)
        below, above = bands_around(problem.band)
        { easier: pick(problem, below, random) do |each|
          each.whole < problem.whole && each.smaller <= problem.smaller
        end, middle: problem,
          harder: pick(problem, above, random) do |each|
            each.whole > problem.whole && each.smaller >= problem.smaller
          end }
      end

      def bands_around(band)
        return BESIDE.fetch(band).zip if BESIDE.key?(band)

        place = LADDER.index(band)
        [LADDER.take(place).reverse, LADDER.drop(place + 1)]
      end

      # From the nearest band that has any (three parts are in no band of ten and some).
      def pick(problem, bands, random, &)
        near = bands.lazy.map { |band| pool(problem, band) }.find(&:any?) || []
        found = near.select(&)
        found = pool(problem, problem.band).select(&) if found.empty?
        found = near if found.empty?
        found = pool(problem, problem.band, zero: true).select(&) if found.empty?
        found.sample(random: random) || raise(Error::TooMany, "there is no such pair beside #{problem}")
      end

      def pool(problem, band, zero: false) = Pool.new(situation: problem.situation.id, band: band, zero: zero).problems
    end
  end
end
