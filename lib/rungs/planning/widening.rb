# frozen_string_literal: true

module Rungs
  module Planning
    # When the range widens (guide 11): an offer, never a lock. A child is ready in a range with enough records of late,
    # most of them right, and a working rung that the range asks for.
    #
    #   Widening.offer(band: "to10", children: { "Ada" => records }, on: day)&.following  # => "teens"
    module Widening
      ORDER = Problem::NumberSets::ORDER
      DAYS, RECORDS, RIGHT = 42, 4, 0.8
      # Of the class with enough records; of these, ready.
      ENOUGH, READY = Rational(2, 3), Rational(4, 5)
      # The working rung that a range asks for: counting on; from the first range through ten on, parts and wholes.
      LEAST = Hash.new(2).merge(ORDER.drop(3).to_h { |band| [band, 3] }).freeze

      # following: the next range. ready, enough, all: how many. waiting: who is not ready → what for, in words.
      Offer = Struct.new(:band, :following, :ready, :enough, :all, :waiting, keyword_init: true)

      module_function

      # @param band [String] the range the class works in
      # @param children [Hash{Object => Array<Progress::Record>}] everybody’s records in that range
      # @param on [Date]
      # @return [Offer, nil] nil where it is too early, or nothing follows
      def offer(band:, children:, on:)
        following = ORDER[ORDER.index(band) + 1] or return
        told = children.transform_values { |records| missing(records, band, on) }
        enough = told.reject { |_, why| why == FEW }
        ready = told.select { |_, why| why.nil? }
        return if children.empty? || enough.size < ENOUGH * children.size || ready.size < READY * enough.size

        Offer.new(band: band, following: following, ready: ready.size, enough: enough.size, all: children.size,
                  waiting: told.compact)
      end

      FEW = "not heard enough"

      # @return [String, nil] what a child is not ready for; nil where ready
      def missing(records, band, on)
        late = records.select { |record| record.weighed? && record.day > on - DAYS && record.day <= on }
        return FEW if late.size < RECORDS
        return "not sure enough yet" if late.count(&:right) < RIGHT * late.size

        working = Progress::Estimate.of(records, on: on).working
        "still #{working ? Strategy::Rung.at(working).doing : 'not clear'}" if working.nil? || working < LEAST[band]
      end
      private_class_method :missing
    end
  end
end
