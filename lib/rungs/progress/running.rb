# frozen_string_literal: true

module Rungs
  module Progress
    # What the records of one scope say, carried on record by record: how the child works it out, what it knows, and as
    # many of the last records as any sentence about today needs. What it says of today or a later day is what
    # Estimate.of says from all records.
    #
    #   running = Running.through(records, scope).hear(record, false)
    #   running.estimate(on: today)
    class Running
      attr_reader :filter, :knowing, :recent

      def self.start(scope, rule = Rule::DEFAULT)
        new(WorkingOut.start(scope, rule), Knowing.start(scope), [])
      end

      # @param records [Array<Record>] in the order they happened
      # @yield [Running] after each of them, without its recent records
      # @return [Running]
      def self.through(records, scope, rule = Rule::DEFAULT)
        facts = {}
        last = records.select(&:on_ladder?).reduce(start(scope, rule)) do |running, record|
          after = running.weigh(record, facts[record.exact])
          facts[record.exact] = Knowing.after(facts[record.exact], record) if record.about_fact?
          after.tap { yield after, record if block_given? }
        end
        new(last.filter, last.knowing, recent(records.select(&:on_ladder?), rule))
      end

      # @return [Array<Record>] as many of the last as any sentence about today needs: those of some weeks, and the
      #   last that were worked out
      def self.recent(records, rule)
        return records if records.size <= rule.several

        from = records.last.day - rule.secure_days
        telling = records.each_index.select { |index| records[index].worked_out? && records[index].tells }
        least = telling.last(rule.several).first || records.size
        late = records.bsearch_index { |record| record.day >= from }
        records.drop([late, least, records.size - rule.several].min)
      end

      # @param filter [WorkingOut]
      # @param knowing [Knowing]
      # @param recent [Array<Record>] on the ladder, the last of those they heard
      def initialize(filter, knowing, recent)
        @filter = filter
        @knowing = knowing
        @recent = recent.freeze
        freeze
      end

      # @param record [Record] not earlier than the one before; off-ladder records are passed over
      # @param before [Boolean, nil] how its fact stood before it, as Knowing.after says
      # @return [Running]
      def hear(record, before)
        return self unless record.on_ladder?

        after = weigh(record, before)
        Running.new(after.filter, after.knowing, Running.recent([*recent, record], filter.rule))
      end

      # @return [Running] with the records it had
      def weigh(record, before) = Running.new(filter.hear(record), knowing.hear(record, before), recent)

      # @param on [Date] the day of the last record or later
      # @return [Estimate]
      def estimate(on:) = Estimate.new(recent, on: on, filter: filter, knowing: knowing)
    end
  end
end
