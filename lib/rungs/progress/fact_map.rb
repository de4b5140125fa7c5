# frozen_string_literal: true

module Rungs
  module Progress
    # What a child showed on each fact of an operation, by the latest answer alone: known, reasoned, counted, wrong, or
    # not heard. A known one stays so until it is counted or wrong (guide 10).
    class FactMap
      STATES = { 1 => "counted", 2 => "counted", 3 => "reasoned", 4 => "reasoned", 5 => "known" }.freeze
      WRONG = "wrong"

      # @param records [Array<Record>] of one operation, in the order they happened
      # @param operation ["add", "subtract"]
      # @param on [Date] later ones are left out
      def initialize(records, operation:, on:)
        @operation = operation
        @records = records.select { |record| record.about_fact? && record.day <= on }
        @latest = @records.to_h { |record| [record.exact, record] }
        @known = NextProblems::History.new(@records).known
      end

      # The exact fact of p + q, whichever way round; or of what is left of p and q when p goes.
      def fact(p, q) = @operation == "add" ? [p, q].sort : [p + q, p]

      # @return [Integer, nil] 5 where it is known, else how it was worked out last; nil where it was wrong, or not
      #   heard
      def rung(p, q)
        there = @latest[fact(p, q)]
        return 5 if @known[fact(p, q)]

        there.rung if there&.right
      end

      # @return ["known", "reasoned", "counted", "wrong", nil] nil where it was not heard
      def state(p, q)
        return unless @latest.key?(fact(p, q))

        rung(p, q) ? STATES.fetch(rung(p, q)) : WRONG
      end

      # @return [Hash{String => Array}] exact facts by state
      def by_state
        facts = @latest.keys.sort
        facts.group_by { |one, two| @operation == "add" ? state(one, two) : state(two, one - two) }
      end

      # @return [Array<Array<Integer>>] exact facts not known yet that were reasoned right often enough to come at once
      #   soon
      def soon
        reasoned = @records.select { |record| record.right && record.rung.between?(3, 4) }.map(&:exact).tally
        reasoned.select { |fact, times| times >= DueFacts::OFTEN && !@known[fact] && @latest[fact].right }.keys
      end
    end
  end
end
