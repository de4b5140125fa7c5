# frozen_string_literal: true

module Rungs
  module Progress
    # What is likely to be heard before a problem is posed, and what was a surprise after it (guide 10). It is for the
    # teacher, and never becomes a record.
    #
    #   Forecast.chances(estimate, affords: problem.affords, tells: problem.tells?, fact: true)  # => { 2 => 0.08, … }
    module Forecast
      # An answer with less of a chance is a surprise.
      SURPRISE = 0.08
      # The chance that a fact comes at once: where it stands as known, where it was heard and is not; how much more
      # where the problem tells nearly nothing, and at most how much then.
      KNOWN = 0.9
      HEARD = 0.15
      EASIER = 0.7
      MOST = 0.95

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
      # @param tells [Boolean] whether it tells how a child works
      # @param fact [Boolean, nil] whether its fact stands as known; nil where it was not heard
      # @return [Hash{Integer => Float}, nil] by rung, together 1; nil where not enough was heard
      def chances(estimate, affords:, tells:, fact:)
        return unless estimate.enough?

        known = at_once(estimate.knowing, tells, fact)
        { **worked_out(estimate, affords - [Estimate::KNOWN]).transform_values { |chance| chance * (1 - known) },
          Estimate::KNOWN => known }
      end

      # @param estimates [Hash{Object => Estimate}] by child
      # @param problem [Problem]
      # @yield [Object] a child → whether the problem's fact stands as known there
      # @return [Class]
      def for_class(estimates, problem)
        children = estimates.to_h do |child, estimate|
          [child, chances(estimate, affords: problem.affords, tells: problem.tells?, fact: yield(child))]
        end
        expected = (problem.affords | [Estimate::KNOWN]).sort.to_h do |rung|
          [rung, children.values.compact.sum { |each| each.fetch(rung) }]
        end
        Class.new(children: children, expected: expected)
      end

      # @param estimate [Estimate] as it was before the answer
      # @param record [Record] the answer
      # @param fact [Boolean, nil] how its fact stood before it
      # @return [Surprise, nil] of one given alone, on the ladder
      def surprise(estimate, record, fact)
        return unless record.on_ladder? && record.alone?

        affords = record.affords | [record.rung]
        chances = chances(estimate, affords: affords, tells: record.tells, fact: fact) or return
        return if chances.fetch(record.rung) >= SURPRISE

        expected = chances.max_by { |rung, chance| [chance, -rung] }.first
        Surprise.new(rung: record.rung, expected: expected)
      end

      # The chance that it comes at once.
      def at_once(knowing, tells, fact)
        return KNOWN if fact
        return HEARD if fact == false

        usual = (knowing.known + 0.5) / (knowing.heard + 2)
        tells ? usual : [usual + EASIER, MOST].min
      end

      # How it is worked out otherwise: where several rungs fall on the top, each has its share of it.
      def worked_out(estimate, affords)
        filter, scope = estimate.filter, estimate.scope
        today = filter.on([estimate.on, *filter.day].max)
        among = affords.map { |rung| scope.level(rung) }
        affords.sort.to_h do |rung|
          level = scope.level(rung)
          [rung, chance(level, today, among.uniq, estimate.rule) / among.count(level)]
        end
      end

      def chance(level, today, among, rule)
        today.each_with_index.sum { |there, index| there * rule.share(level, from: index + 1, among: among) }
      end
      private_class_method :at_once, :worked_out, :chance
    end
  end
end
