# frozen_string_literal: true

module Rungs
  module Progress
    # Facts to hear by heart: those reasoned right twice and not known yet, and known ones whose time has come again
    # (guide 8).
    module DueFacts
      # School days until a fact is due again, known once, twice … in a row; after a miss as after the first.
      DAYS = [1, 3, 7, 14, 30, 60].freeze
      REASONED = (3..4)
      # How often a fact was reasoned right before it is asked by heart.
      OFTEN = 2

      module_function

      # @param records [Array<Record>] one child's of one operation, in the order they happened
      # @param on [Date]
      # @return [Hash{Array<Integer> => String}] fact → why it is due, "reasoned" or "again"
      def of(records, on:)
        heard = records.select { |record| record.on_ladder? && record.exact }
        heard.group_by(&:fact).transform_values { |answers| due(answers, on) }.compact
      end

      # @param classes [Array<Array<Record>>] each child's
      # @return [Array<Array(Array<Integer>, String)>] facts due for the most children first, then the smaller
      def most(classes, on:)
        times = classes.flat_map { |records| of(records, on: on).to_a }.tally
        times.sort_by { |(fact, why), often| [-often, fact.sum, fact, why] }.map(&:first).uniq(&:first)
      end

      def due(answers, on)
        return ("reasoned" if reasoned(answers) >= OFTEN) if answers.none? { |answer| known?(answer) }

        in_a_row = answers.reverse.take_while { |answer| known?(answer) }.size
        wait = DAYS[in_a_row.clamp(1, DAYS.size) - 1]
        "again" if SchoolDays.between(answers.last.day, on) >= wait
      end

      def known?(answer) = answer.right && answer.rung == 5
      def reasoned(answers) = answers.count { |answer| answer.right && REASONED.cover?(answer.rung) }
      private_class_method :due, :known?, :reasoned
    end
  end
end
