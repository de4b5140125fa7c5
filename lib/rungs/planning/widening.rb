# frozen_string_literal: true

module Rungs
  module Planning
    # When the range widens (guide 11): an offer, never a lock, where enough of those who were heard are ready.
    #
    #   Widening.offer(standing, "to10")&.following  # => "teens"
    module Widening
      ORDER = Ranges::ORDER
      # Of the class with enough records; of these, ready.
      ENOUGH = Rational(2, 3)
      READY = Rational(4, 5)
      FEW = "not heard enough"

      # following: the next range. ready, enough, all: how many. waiting: who is not ready → what for, in words.
      Offer = Struct.new(:band, :following, :ready, :enough, :all, :waiting, keyword_init: true)

      module_function

      # @param standing [Standing] up to the day, in the operation the class is at
      # @param band [String] the range the class works in
      # @return [Offer, nil] nil where it is too early, or nothing follows
      def offer(standing, band)
        following = Ranges.following(band, standing.year) or return
        told = standing.names.to_h { |child| [child, missing(standing, child, band)] }
        enough = told.reject { |_, why| why == FEW }
        ready = told.select { |_, why| why.nil? }
        return if told.empty? || enough.size < ENOUGH * told.size || ready.size < READY * enough.size

        Offer.new(band: band, following: following, ready: ready.size, enough: enough.size, all: told.size,
                  waiting: told.compact)
      end

      # @return [String, nil] what a child is not ready for; nil where ready
      def missing(standing, child, band)
        return if standing.ready?(child, band)
        return FEW unless standing.enough?(child, band)

        working, least = standing.estimate(child, band).working, Ready.rung(band, year: standing.year)
        return "still #{Strategy::Rung.at(working).doing}" if working && least && working < least

        working ? "not sure enough yet" : "still not clear"
      end
      private_class_method :missing
    end
  end
end
