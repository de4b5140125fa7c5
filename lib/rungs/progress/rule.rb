# frozen_string_literal: true

module Rungs
  module Progress
    # Every number of guide 10, in one place.
    Rule = Struct.new(:days_up, :days_down, :weights, :below, :above, :help, :half_life, :least_records,
                      :least_confidence,
                      :secure_confidence, :secure_days, :secure_records, :secure_facts, :secure_on_days, :secure_right,
                      :recent_days, :recent_answers, :lead, :fairly, :several, keyword_init: true) do
      # The weight of hearing rung r from a child who works on s.
      # @param step [Integer] r − s
      def weight(step) = weights.fetch(step) { step.negative? ? below : above }

      # How likely a rung is heard from a child who works on another: its weight, divided by those of what the problem
      # affords (and 5, and what was heard), so that part–whole on 3 + 4 says nothing against making ten.
      # @param affords [Array<Integer>] rungs
      # @param ear [Clip::Confusions, nil] of who heard it, where that is to count
      # @return [Float] 0 to 1
      def share(rung, from:, affords:, ear: nil)
        shown = affords | [5, rung]
        return weight(rung - from) / shown.sum { |each| weight(each - from) } unless ear

        heard_as(rung, from, ear) / shown.sum { |each| heard_as(each, from, ear) }
      end

      # The weight of hearing a rung where the ear may have taken another for it (guide 17).
      def heard_as(rung, from, ear) = (1..5).sum { |was| weight(was - from) * ear.chance(rung, was) }
    end

    Rule::DEFAULT = Rule.new(
      days_up: 70.0, days_down: 500.0,
      weights: { 0 => 0.62, -1 => 0.20, -2 => 0.05, 1 => 0.11, 2 => 0.015 }.freeze, below: 0.01, above: 0.005,
      help: { "alone" => 1.0, "prompted" => 0.5, "shown" => 0.2 }.freeze,
      half_life: 60.0, least_records: 2, least_confidence: 0.4,
      secure_confidence: 0.8, secure_days: 42, secure_records: 4, secure_facts: 3, secure_on_days: 2, secure_right: 0.8,
      recent_days: 28, recent_answers: 7, lead: 2, fairly: 0.6,
      several: 10
    ).freeze
  end
end
