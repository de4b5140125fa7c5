# frozen_string_literal: true

module Rungs
  module Progress
    # What is likely to be heard before a problem is posed, and what was a surprise after it (guide 10). It is for the
    # teacher, and never becomes a record.
    #
    #   Forecast.chances(estimate, problem.affords)  # => { 2 => 0.41, 3 => 0.33, 5 => 0.26 }
    module Forecast
      # An answer with less of a chance is a surprise.
      SURPRISE = 0.08

      # What a class is likely to do. children: child → chances, nil where not heard enough. expected: by rung, how
      # many.
      Class = Struct.new(:children, :expected, keyword_init: true) do
        def unheard = children.select { |_, chances| chances.nil? }.keys

        # @return [Array(Array(Integer, Integer))] rung and about how many, lowest first; only those that round to one
        def about = expected.transform_values(&:round).select { |_, many| many.positive? }.sort
      end

      # rung: that was heard. expected: the likeliest. up: whether it was above.
      Surprise = Struct.new(:rung, :expected, keyword_init: true) do
        def up? = rung > expected
      end

      module_function

      # @param estimate [Estimate] in the problem's operation and band, on the day
      # @param affords [Array<Integer>] the rungs that the problem affords
      # @return [Hash{Integer => Float}, nil] by rung, together 1; nil where not enough was heard
      def chances(estimate, affords)
        return unless estimate.working

        shown = (affords | [5]).sort
        filter, rule = estimate.filter, estimate.rule
        working = filter.on([estimate.on, filter.day].max)
        shown.to_h do |rung|
          [rung, Filter::LEVELS.sum { |level| working[level - 1] * rule.share(rung, from: level, affords: shown) }]
        end
      end

      # @param estimates [Hash{Object => Estimate}] by child
      # @return [Class]
      def for_class(estimates, affords)
        children = estimates.transform_values { |estimate| chances(estimate, affords) }
        expected = (affords | [5]).sort.to_h { |rung| [rung, children.values.compact.sum { |each| each.fetch(rung) }] }
        Class.new(children: children, expected: expected)
      end

      # @param estimate [Estimate] as it was before the answer
      # @param record [Record] the answer
      # @return [Surprise, nil] of one given alone, on the ladder
      def surprise(estimate, record)
        return unless record.weighed? && record.alone?

        chances = chances(estimate, record.affords | [record.rung]) or return
        return if chances.fetch(record.rung) >= SURPRISE

        expected = chances.max_by { |rung, chance| [chance, -rung] }.first
        Surprise.new(rung: record.rung, expected: expected)
      end
    end
  end
end
