# frozen_string_literal: true

module Rungs
  module Progress
    # Every number of guide 10, in one place.
    Rule = Struct.new(:days_up, :days_down, :longest_gap, :weights, :below, :above, :help, :easy, :half_life,
                      :least_records, :least_confidence, :known_share, :family_facts,
                      :secure_confidence, :secure_days, :secure_records, :secure_facts, :secure_on_days, :secure_right,
                      :recent_days, :recent_answers, :lead, :fairly, :several, :quarter, :least_told,
                      keyword_init: true) do
      # The weight of hearing rung r from a child who works on s.
      # @param step [Integer] r − s
      def weight(step) = weights.fetch(step) { step.negative? ? below : above }

      # How likely a rung is heard from a child who works on another: its weight, divided by those of what could be
      # heard, so that part–whole on 3 + 4 says nothing against making ten.
      # @param among [Array<Integer>] the rungs that could be heard, it among them
      # @param ear [Array<Array<Float>>, nil] of who heard it, where that is to count: rows what it was
      # @return [Float] 0 to 1
      def share(rung, from:, among:, ear: nil)
        return weight(rung - from) / among.sum { |each| weight(each - from) } unless ear

        heard_as(rung, from, ear) / among.sum { |each| heard_as(each, from, ear) }
      end

      # The weight of hearing a rung where the ear may have taken another for it (guide 17).
      def heard_as(rung, from, ear)
        ear.each_with_index.sum { |row, was| weight(was + 1 - from) * row[rung - 1] }
      end
    end

    Rule::DEFAULT = Rule.new(
      days_up: 70.0, days_down: 500.0, longest_gap: 21,
      weights: { 0 => 0.62, -1 => 0.20, -2 => 0.05, 1 => 0.11, 2 => 0.015 }.freeze, below: 0.01, above: 0.005,
      help: { "alone" => 1.0, "prompted" => 0.5, "shown" => 0.2 }.freeze, easy: 0.2,
      half_life: 60.0, least_records: 2, least_confidence: 0.4, known_share: Rational(3, 4), family_facts: 5,
      secure_confidence: 0.8, secure_days: 42, secure_records: 4, secure_facts: 3, secure_on_days: 2, secure_right: 0.8,
      recent_days: 28, recent_answers: 7, lead: 2, fairly: 0.6,
      several: 10, quarter: Rational(1, 4), least_told: 3
    ).freeze
  end
end
