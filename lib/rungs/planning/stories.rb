# frozen_string_literal: true

module Rungs
  module Planning
    # Which situation a day's story tells (guide 11): in the order they are taught, each at least twice; from the second
    # week an earlier one between, and each week one of the other operation.
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
      # How often one is told before the next; on which day of a week an earlier one comes, and one of the other
      # operation.
      TIMES, EARLIER, TURNED = 2, 2, 3

      # @param told [Hash{String => Integer}] how often each situation was told, 0 where it was not; it is read as it
      #   grows
      def initialize(operation:, year:, told:)
        @operation = operation
        @order = ORDER.fetch(year)
        @told = told
        @before = told.keys
      end

      # @param index [Integer] which day of the week
      # @return [Array<String>] ids of situations, the most wanted first
      def for(index)
        own = @order.fetch(@operation)
        return @order.fetch(OTHER.fetch(@operation)).sort_by { |id| @told[id].zero? ? 1 : 0 } if index == TURNED

        due = own.find { |id| @told[id] < TIMES } || own.min_by { |id| @told[id] }
        met = own.select { |id| @told[id].positive? }
        [*(own & @before & (met - [due]) if index == EARLIER), due, *met.sort_by { |id| @told[id] }, own.first].uniq
      end
    end
  end
end
