# frozen_string_literal: true

module Rungs
  module Progress
    # An estimate that is carried on record by record: the filter after all of them, and as many of the last records as
    # any sentence about today needs. What it says of today or a later day is what Estimate.of says from all records.
    #
    #   running = Running.through(records).hear(record)
    #   running.estimate(on: today)
    class Running
      attr_reader :filter, :recent

      def self.start(rule = Rule::DEFAULT) = new(Filter.start(rule), [])

      # @param records [Array<Record>] in the order they happened
      def self.through(records, rule = Rule::DEFAULT)
        records.reduce(start(rule)) { |running, record| running.hear(record) }
      end

      # @param filter [Filter]
      # @param recent [Array<Record>] weighed ones, the last of those the filter heard
      def initialize(filter, recent)
        @filter = filter
        @recent = recent.freeze
        freeze
      end

      # @param record [Record] not earlier than the one before; off-ladder records are passed over
      # @return [Running]
      def hear(record)
        return self unless record.weighed?

        all = recent + [record]
        from, least = record.day - filter.rule.secure_days, all.size - Estimate::LAST
        gone = all.each_index.find { |index| index >= least || all[index].day >= from }
        Running.new(filter.hear(record), all.drop(gone))
      end

      # @param on [Date] the day of the last record or later
      # @return [Estimate]
      def estimate(on:) = Estimate.new(recent, on: on, filter: filter)
    end
  end
end
