# frozen_string_literal: true

module Rungs
  class Problem
    # A number range that is worked on at a time. The bands are a partition: a problem belongs to the first
    # that fits (guide 3.2).
    class Band
      attr_reader :id, :title, :largest

      def initialize(id:, title:, largest:, fits:)
        @id = id
        @title = title
        @largest = largest
        @fits = fits
        freeze
      end

      def fits?(parts) = @fits.call(parts, parts.sum)

      # @return [Array<Integer>] the rungs that its problems afford: making ten needs numbers around ten
      def rungs = %w[to10 bridge to100].include?(id) ? [1, 2, 3, 4, 5] : [1, 2, 3, 5]

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

      TENS = ->(parts, whole) { whole.between?(20, 100) && parts.all? { |part| (part % 10).zero? } }
      TEN_AND_SOME = ->(parts, whole) { whole.between?(11, 19) && parts.size == 2 && parts.include?(10) }

      ALL = Catalogue.new("band", [
        { id: "to5", title: "to 5", largest: 5, fits: ->(_, whole) { whole <= 5 } },
        { id: "to10", title: "to 10", largest: 10, fits: ->(_, whole) { whole <= 10 } },
        { id: "tens", title: "tens", largest: 100, fits: TENS },
        { id: "teens", title: "ten and some", largest: 19, fits: TEN_AND_SOME },
        { id: "bridge", title: "through ten", largest: 20, fits: lambda { |parts, whole|
          whole.between?(11, 20) && parts.max <= 9
        } },
        { id: "to20", title: "to 20", largest: 20, fits: ->(_, whole) { whole <= 20 } },
        { id: "to100", title: "to 100", largest: 100, fits: ->(_, whole) { whole <= 100 } }
      ].map { |entry| new(**entry) })
    end
  end
end
