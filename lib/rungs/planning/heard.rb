# frozen_string_literal: true

module Rungs
  module Planning
    # What was heard of one child before a week, as a plan in one operation asks for it. Who keeps records elsewhere
    # answers the same.
    class Heard
      # So many in the operation, and the child counts as heard; so many in a range, and it is not new.
      LEAST = 2

      # @param answers [Array<#operation, #band, #missing_part?, #record>] one child's, in the order they happened
      # @param operation ["add", "subtract"]
      # @param before [Date] the first day of the week: what was heard on it or later is left out
      def initialize(answers, operation, before:)
        there = answers.select { |each| each.record.on_ladder? && each.record.day < before }
        own, others = there.partition { |each| each.operation == operation }
        @operation, @before = operation, before
        @own, @parts = by_range(own), by_range(others.select(&:missing_part?))
        @others = others.map(&:record)
        @days, @estimates = {}, {}
      end

      def enough? = @own.values.sum(&:size) >= LEAST

      # @return [Integer] how many answers in a range are on problems that tell
      def count(range) = telling(range).size

      # @param from [Date, nil] the first day
      # @return [Array<Progress::Record>] in a range, those on problems that tell, in the order they happened
      def telling(range, from: nil)
        @own.fetch(range, []).select { |record| record.tells && (from.nil? || record.day >= from) }
      end

      # @return [Integer, nil] the child's rung in a range at the end of a day on which something was heard there
      def rung_on(range, day)
        records = @own.fetch(range, [])
        @days[range] ||= {}.tap do |days|
          Progress::Running.through(records, scope(range)) { |running, record| days[record.day] = running }
        end
        last = @days[range].keys.reverse_each.find { |each| each <= day }
        last && @days[range][last].estimate(on: day).working
      end

      # Answers to missing parts count for an aim of either operation.
      # @return [Progress::Estimate] in a range, as the week begins
      def estimate(range)
        @estimates[range] ||= Progress::Estimate.of(in_order(@own.fetch(range, []) + @parts.fetch(range, [])),
                                                    on: @before - 1, scope: scope(range))
      end

      # @return [Array<Array<Integer>>] facts, as they are known, that stand as known
      def known = history.known.select { |_, stands| stands }.keys

      # What the next aim depends on.
      def partners? = history.partners?
      def stumbling?(range) = history.stumbling?(range)
      def only_nines?(range) = history.only_nines?(range)

      private

      def history = @history ||= Progress::NextProblems::History.new(in_order(@own.values.flatten), @others)
      def scope(range) = Progress::Scope.of(@operation, range)
      def in_order(records) = records.sort_by.with_index { |record, at| [record.day, at] }
      def by_range(answers) = answers.group_by(&:band).transform_values { |all| all.map(&:record) }
    end
  end
end
