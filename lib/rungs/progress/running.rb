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

      # Of many at once: the filter goes through all of them, and what is recent is taken at the end.
      # @param records [Array<Record>] in the order they happened
      # @yield [Filter] after each of them
      def self.through(records, rule = Rule::DEFAULT)
        weighed = records.select(&:weighed?)
        filter = weighed.reduce(Filter.start(rule)) do |before, record|
          before.hear(record).tap { |after| yield after if block_given? }
        end
        new(filter, recent(weighed, rule))
      end

      # @return [Array<Record>] as many of the last as any sentence about today needs
      def self.recent(records, rule)
        return records if records.size <= Estimate::LAST

        from, least = records.last.day - rule.secure_days, records.size - Estimate::LAST
        records.drop([records.bsearch_index { |record| record.day >= from }, least].min)
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

        Running.new(filter.hear(record), Running.recent([*recent, record], filter.rule))
      end

      # @param on [Date] the day of the last record or later
      # @return [Estimate]
      def estimate(on:) = Estimate.new(recent, on: on, filter: filter)
    end
  end
end
