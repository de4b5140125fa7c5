# frozen_string_literal: true

module Rungs
  module Planning
    # When the range widens (guide 11): an offer, never a lock, where enough of those who were heard are ready.
    #
    #   Widening.offer(band: "to10", children: { "Ada" => records }, on: day)&.following  # => "teens"
    module Widening
      ORDER = Ranges::ORDER
      # Of the class with enough records; of these, ready.
      ENOUGH, READY = Rational(2, 3), Rational(4, 5)

      # following: the next range. ready, enough, all: how many. waiting: who is not ready → what for, in words.
      Offer = Struct.new(:band, :following, :ready, :enough, :all, :waiting, keyword_init: true)

      module_function

      # @param band [String] the range the class works in
      # @param children [Hash{Object => Array<Progress::Record>}] everybody’s records in that range
      # @param on [Date]
      # @param year ["first", "kindergarten"]
      # @return [Offer, nil] nil where it is too early, or nothing follows
      def offer(band:, children:, on:, year: "first")
        following = Ranges.following(band) or return
        told = children.transform_values { |records| missing(records, band, on, year) }
        enough = told.reject { |_, why| why == FEW }
        ready = told.select { |_, why| why.nil? }
        return if children.empty? || enough.size < ENOUGH * children.size || ready.size < READY * enough.size

        Offer.new(band: band, following: following, ready: ready.size, enough: enough.size, all: children.size,
                  waiting: told.compact)
      end

      FEW = "not heard enough"

      # @return [String, nil] what a child is not ready for; nil where ready
      def missing(records, band, on, year)
        late = records.select { |record| record.on_ladder? && record.day > on - Ready::DAYS && record.day <= on }
        return FEW if late.size < Ready::RECORDS
        return if Ready.in?(records, band: band, on: on + 1, year: year)

        working = Progress::Estimate.of(records, on: on, scope: Progress::Scope.in_band(band)).working
        return "still #{Strategy::Rung.at(working).doing}" if working && working < Ready::RUNG[band]

        working ? "not sure enough yet" : "still not clear"
      end
      private_class_method :missing
    end
  end
end
