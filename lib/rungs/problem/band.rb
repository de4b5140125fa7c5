# frozen_string_literal: true

module Rungs
  class Problem
    # A number range that is worked on at a time. The bands are a partition: a problem belongs to the first
    # that fits (guide 3.2).
    class Band
      # Where an entry says nothing else: what its problems are like, and what follows for whoever asks them.
      #
      # rungs: those that its problems afford; making ten needs numbers around ten.
      # top: the highest rung that a child works out by there; tells_from: the least part of a problem that tells how;
      # facts: of how many heard it may be said that the range is known, none where never; among: the parts of a fact
      # that is then to be one of the known (guide 10).
      # aims: by the rung worked out by, the rungs to aim at, where it has others than the usual; beginning: the same
      # in a kindergarten class; partners: whether making ten is the partners of ten there (guide 10).
      # unheard: the rung to aim at where no child speaks for another.
      # serves: by the rung aimed at, a lower one that counts for it.
      # any_shows: whether parts can be seen in any of its problems, even with a part of one.
      # counted_on: how much is put to, or taken from, much where it is counted on; in_steps: whether by tens.
      # grows: how much the larger part grows for the next ten; 0 where the same numbers go another way (guide 11).
      USUAL = { rungs: [1, 2, 3, 5], top: 3, tells_from: 2, facts: 8, among: nil, aims: {}, beginning: {},
                partners: false, unheard: 3, serves: {}, any_shows: false, counted_on: 2..3, in_steps: false,
                grows: 10 }.freeze

      attr_reader :id, :title, :largest, :at_home, *USUAL.keys

      # @param largest [Integer] the largest whole
      # @param at_home [String] how its numbers are called for whoever a child lives with
      # @param fits [Proc] (parts, whole) → whether a problem belongs here
      def initialize(fits:, **known)
        @fits = fits
        USUAL.merge(known).each { |name, value| instance_variable_set(:"@#{name}", value) }
        freeze
      end

      def fits?(parts) = @fits.call(parts, parts.sum)

      # Whether numbers tell how a child works what it does not know: two parts large enough to be worked out, and no
      # double, which is known long before its neighbours (guide 10).
      # @param parts [Array<Integer>] two, or three
      def tells?(parts) = parts.count { |part| part >= tells_from } >= 2 && !(parts.size == 2 && parts.uniq.one?)

      # @return [Array<Array<Integer>>] those of its facts that tell, the smaller part first
      def telling_facts = pairs.map(&:sort).uniq.select { |fact| tells?(fact) }

      # @param parts [Array<Integer>]
      # @return [String] the id of the first band that fits
      # @raise [Error::NotAProblem] over 100
      def self.of(parts)
        band = ALL.find { |each| each.fits?(parts) }
        band ? band.id : raise(Error::NotAProblem, "#{parts.join(' + ')} is more than 100")
      end

      # @return [Array<Array<Integer>>] every ordered pair of parts in this band
      def pairs = Band.pairs_by_band.fetch(id)

      # @return [Array<Array<Integer>>] every ordered pair that comes to no more than its largest whole
      def pairs_below = (0..largest).flat_map { |first| (0..largest - first).map { |second| [first, second] } }

      # Made once: there are thousands.
      def self.pairs_by_band = @pairs_by_band ||= ALL.fetch("to100").pairs_below.group_by { |pair| of(pair) }.freeze

      # As the range of a class widens; as problems fall into them is the order of ALL.
      ORDER = %w[to5 to10 teens to20 bridge tens to100].freeze

      TENS = ->(parts, whole) { whole.between?(20, 100) && parts.all? { |part| (part % 10).zero? } }
      TEN_AND_SOME = ->(parts, whole) { whole.between?(11, 19) && parts.size == 2 && parts.include?(10) }

      BELOW_TEN = ->(parts, whole) { whole.between?(11, 20) && parts.max <= 9 }
      ON_ALL_RUNGS = [1, 2, 3, 4, 5].freeze

      ALL = Catalogue.new("band", [
        { id: "to5", title: "to 5", largest: 5, at_home: "numbers to 5", fits: ->(_, whole) { whole <= 5 },
          tells_from: 1, facts: 3, among: [2, 3], aims: { 1 => [3] }, unheard: 2, any_shows: true },
        { id: "to10", title: "to 10", largest: 10, at_home: "numbers to 10", fits: ->(_, whole) { whole <= 10 },
          rungs: ON_ALL_RUNGS, beginning: { 1 => [3], 3 => [2] }, partners: true, unheard: 2 },
        { id: "tens", title: "tens", largest: 100, at_home: "whole tens", fits: TENS,
          tells_from: 20, counted_on: 20..30, in_steps: true },
        { id: "teens", title: "ten and some", largest: 19, at_home: "ten and some more", fits: TEN_AND_SOME,
          facts: 5, aims: { 1 => [3], 2 => [3] } },
        { id: "bridge", title: "through ten", largest: 20, at_home: "numbers that go through ten", fits: BELOW_TEN,
          rungs: ON_ALL_RUNGS, top: 4, aims: { 2 => [4] }, serves: { 4 => 3 }, grows: 20 },
        { id: "to20", title: "to 20", largest: 20, at_home: "numbers to 20", fits: ->(_, whole) { whole <= 20 },
          facts: nil },
        { id: "to100", title: "to 100", largest: 100, at_home: "numbers to 100", fits: ->(_, whole) { whole <= 100 },
          rungs: ON_ALL_RUNGS, top: 4, facts: nil, grows: 0 }
      ].map { |entry| new(**entry) })
    end
  end
end
