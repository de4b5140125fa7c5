# frozen_string_literal: true

module Rungs
  module Progress
    # The hidden Markov filter over the five rungs (guide 10). Immutable: each record heard gives a new one,
    # so that a class's filters can be kept and carried on record by record.
    class Filter
      LEVELS = (1..5)

      attr_reader :probabilities, :day, :heard, :rule

      def self.start(rule = Rule::DEFAULT) = new(probabilities: Array.new(5, 0.2), day: nil, heard: 0, rule: rule)

      # @param records [Array<Record>] in the order they happened
      def self.through(records, rule = Rule::DEFAULT)
        records.reduce(start(rule)) { |filter, record| filter.hear(record) }
      end

      def initialize(probabilities:, day:, heard:, rule:)
        @probabilities = probabilities.freeze
        @day = day
        @heard = heard
        @rule = rule
        freeze
      end

      # @param record [Record] off-ladder records are passed over
      # @return [Filter]
      def hear(record)
        return self unless record.weighed?

        drifted = on(record.day)
        likely = LEVELS.map { |level| drifted[level - 1] * likelihood(record, level) }
        Filter.new(probabilities: likely.map do |each|
          each / likely.sum
        end, day: record.day, heard: heard + 1, rule: rule)
      end

      # @param another [Date] not before the last record
      # @return [Array<Float>] the chance of each working rung on that day
      def on(another) = day ? drift((another - day).to_i) : probabilities

      # @return [Integer] the likeliest rung, 1..5; of equals the lower
      def likeliest = probabilities.index(probabilities.max) + 1

      private

      # How the rungs may have moved in so many days: by single rungs, mostly up.
      def drift(days)
        up = 1 - Math.exp(-days / rule.days_up)
        down = 1 - Math.exp(-days / rule.days_down)
        LEVELS.each_with_object(Array.new(5, 0.0)) do |level, moved|
          fall, rise = (level == 1 ? 0 : down), (level == 5 ? 0 : up)
          chance = probabilities[level - 1]
          moved[level - 2] += chance * fall if fall.positive?
          moved[level] += chance * rise * (1 - fall) if rise.positive?
          moved[level - 1] += chance * (1 - fall - (rise * (1 - fall)))
        end
      end

      def likelihood(record, level)
        rule.share(record.rung, from: level, affords: record.affords, ear: record.ear)**rule.help.fetch(record.help)
      end
    end
  end
end
