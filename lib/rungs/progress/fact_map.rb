# frozen_string_literal: true

module Rungs
  module Progress
    # The best a child showed of late on each fact, right: known, reasoned, counted, or not heard. A fact and its
    # turned-round twin are one.
    class FactMap
      # Days that count as of late.
      RECENT = 84
      STATES = { 1 => "counted", 2 => "counted", 3 => "reasoned", 4 => "reasoned", 5 => "known" }.freeze

      # @param records [Array<Record>] of one operation
      # @param on [Date]
      def initialize(records, on:)
        recent = records.select do |record|
          record.weighed? && record.right && (on.jd - record.day.jd).between?(0, RECENT)
        end
        @best = recent.group_by(&:fact).transform_values { |all| all.map(&:rung).max }
      end

      # @return [Integer, nil] the best recent rung on p and q, whichever way round
      def rung(p, q) = @best[[p, q].sort]

      # @return ["known", "reasoned", "counted", nil] nil where it was not heard
      def state(p, q) = STATES[rung(p, q)]

      # @return [Hash{String => Array}] facts by state
      def by_state = @best.keys.group_by { |fact| STATES.fetch(@best[fact]) }.transform_values(&:sort)
    end
  end
end
