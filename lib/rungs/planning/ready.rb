# frozen_string_literal: true

module Rungs
  module Planning
    # Whether a child is ready in a range, and whether the range carries the child (guide 11).
    module Ready
      # Days that are looked back on; records in them, of which so many are right; none of the last four twice wrong.
      DAYS, RECORDS, RIGHT, LAST, WRONG = 42, 4, Rational(4, 5), 4, 2
      YEAR = 365
      # In the first ranges so many right ones, on as many facts and on two days, are enough too.
      FIRST, FEW, ON_DAYS = %w[to5 to10].freeze, 3, 2
      # A range carries with so many records, so many of them right on the rung it asks for.
      CARRYING, HALF = 2, Rational(1, 2)
      # The working rung that a range asks for: counting on; from the first range through ten on, parts and wholes.
      RUNG = Hash.new(2).merge(Problem::NumberSets::ORDER.drop(3).to_h { |band| [band, 3] }).freeze

      module_function

      # @param records [Array<Progress::Record>] one child's in that range, in the order they happened
      # @param on [Date] the first day of the week: later records, and those of that day, are left out
      # @param year ["first", "kindergarten"]
      def in?(records, band:, on:, year: "first")
        told = told(records, on)
        return false if told.last(LAST).count { |record| !record.right } >= WRONG

        days = []
        Progress::Running.through(told, Progress::Scope.in_band(band)) { |running, _| days << running }
        told.each_with_index.any? do |record, index|
          last = told[index + 1]&.day != record.day
          last && record.day >= on - YEAR && on_day?(told.take(index + 1), days[index], band, year)
        end
      end

      # @return [Boolean] whether the range carries
      def carries?(records, band:, on:, year: "first")
        late = told(records, on).select { |record| record.day >= on - DAYS }
        least = any_way?(band, year) ? 1 : 2
        late.size >= CARRYING && late.count { |record| record.right && record.rung >= least } >= HALF * late.size
      end

      # @return [Boolean] whether any way will do there
      def any_way?(band, year) = band == "to5" || (band == "to10" && year == "kindergarten")

      def told(records, on) = records.select { |record| record.on_ladder? && record.day < on }

      # @param told [Array<Progress::Record>] up to that day
      # @param running [Progress::Running] through them
      def on_day?(told, running, band, year)
        day = told.last.day
        window = told.reverse.take_while { |record| record.day > day - DAYS }
        return false unless enough?(window, band) && window.count(&:right) >= RIGHT * window.size
        return true if any_way?(band, year)

        working = running.estimate(on: day).working
        !working.nil? && working >= RUNG[band]
      end

      def enough?(window, band)
        return true if window.size >= RECORDS
        return false unless FIRST.include?(band)

        right = window.select(&:right)
        right.size >= FEW && right.map(&:fact).uniq.size >= FEW && right.map(&:day).uniq.size >= ON_DAYS
      end
      private_class_method :told, :on_day?, :enough?
    end
  end
end
