# frozen_string_literal: true

module Rungs
  module Planning
    # Which situation a day's story tells (guide 11): in the order they are taught, each at least twice and on when most
    # were right; from the second week an earlier one between, and each week one of the other operation. What compares
    # comes after towers were compared.
    class Stories
      ORDER = {
        "kindergarten" => { "add" => %w[add_to.result together.total together.both],
                            "subtract" => %w[take_from.result together.both add_to.change] },
        "first" => {
          "add" => %w[add_to.result together.total together.both together.three compare.bigger.more take_from.start
                      compare.bigger.fewer],
          "subtract" => %w[take_from.result together.both add_to.change take_from.change together.part
                           compare.difference.more compare.difference.fewer compare.smaller.fewer add_to.start
                           compare.smaller.more]
        }
      }.freeze
      OTHER = { "add" => "subtract", "subtract" => "add" }.freeze
      # How often one is told before the next, at most.
      TIMES = 2
      MOST = 4
      # What comes before all that compares.
      COMPARED = Activity::TwoTowers.id
      # Which story of a week tells an earlier one, and which one of the other operation; of fewer the last does that.
      EARLIER = 2
      TURNED = 3

      # @param times_told [Hash{String => Integer}] how often each situation was told, 0 where it was not; it is read as
      #   it grows
      # @param other_range [String] of the stories of the other operation
      # @param compared [Proc] () → whether the class has compared towers
      # @param wrong [Array<String>] situations at which most were not right last
      def initialize(operation:, year:, times_told:, other_range:, compared: -> { true }, wrong: [])
        @operation = operation
        @order = ORDER.fetch(year)
        @times_told = times_told
        @before = times_told.keys
        @other_range = other_range
        @compared = compared
        @wrong = wrong
      end

      attr_reader :other_range

      # @param place [Integer, nil] which story of the week it is, from 0; nil for one by itself
      # @param of [Integer] how many stories the week has
      # @return [Array<String>] ids of situations, the most wanted first; of an activity where that comes before
      def for(place, of:)
        own = @order.fetch(@operation)
        turned = of > 1 && place == [TURNED, of - 1].min
        return sayable(@order.fetch(OTHER.fetch(@operation)).sort_by { |id| @times_told[id].zero? ? 1 : 0 }) if turned

        due = own.find { |id| due?(id) } || own.min_by { |id| @times_told[id] }
        met = own.select { |id| @times_told[id].positive? }
        first = [*(own & @before & (met - [due]) if place == EARLIER), due].map { |id| before(id) }
        [*first, *sayable(met.sort_by { |id| @times_told[id] }), own.first].uniq
      end

      private

      def due?(id) = @times_told[id] < TIMES || (@wrong.include?(id) && @times_told[id] < MOST)
      def compares?(id) = Problem::Situation::ALL.fetch(id).compare? && !@compared.call
      def before(id) = compares?(id) ? COMPARED : id
      def sayable(ids) = ids.reject { |id| compares?(id) }
    end
  end
end
