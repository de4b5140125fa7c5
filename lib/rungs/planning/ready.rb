# frozen_string_literal: true

module Rungs
  module Planning
    # Since when a child is ready in a range (guide 11): nobody is unready later.
    #
    #   Ready.since({ "to10" => records }, band: "to10", on: monday)  # => Date or nil
    module Ready
      # Days that are looked back on from an answer; how long ago it may be.
      DAYS, YEAR = 42, 365
      # Records in them, on so many facts and days; of which so many are right; of the last four not two wrong.
      RECORDS, FACTS, ON_DAYS, RIGHT, LAST, WRONG = 4, 3, 2, Rational(4, 5), 4, 2
      # In the first ranges three right ones, on as many facts and on two days, are enough too.
      FIRST, FEW = %w[to5 to10].freeze, 3
      PART_WHOLE, COUNT_ON = 3, 2

      module_function

      # @param by_range [Hash{String => Array<Progress::Record>}] one child's, in the order they happened
      # @param on [Date] the first day of the week: later records, and those of that day, are left out
      # @param year ["first", "kindergarten"]
      # @param aimed [Boolean] whether weeks have aimed at every rung of the range
      # @return [Date, nil]
      def since(by_range, band:, on:, year: "first", aimed: false)
        told = by_range.fetch(band, []).select { |record| record.on_ladder? && record.day < on }
        runnings = through(told, band)
        last = told.each_index.find do |index|
          day = told[index].day
          told[index + 1]&.day != day && day >= on - YEAR && enough?(told.take(index + 1), day, band) &&
            there?(runnings[index].estimate(on: day).working, by_range, band, day, year, aimed)
        end
        told[last].day if last
      end

      def in?(...) = !since(...).nil?

      # @return [Integer, nil] the rung that a range asks for; nil where any will do
      def rung(band, year: "first", aimed: false)
        return if band == "to5" || (band == "to10" && year == "kindergarten")

        band == "to10" && aimed ? COUNT_ON : PART_WHOLE
      end

      # Whether there are records enough of late.
      # @param telling [Array<Progress::Record>] on problems that tell
      def heard?(telling, on) = telling.count { |record| record.day >= on - DAYS && record.day < on } >= RECORDS

      def through(records, band)
        runnings = []
        Progress::Running.through(records, Progress::Scope.in_band(band)) { |running, _| runnings << running }
        runnings
      end

      # @param told [Array<Progress::Record>] up to that day
      def enough?(told, day, band)
        telling = told.select(&:tells)
        window = telling.select { |record| record.day > day - DAYS }
        many?(window, band) && window.count(&:right) >= RIGHT * window.size &&
          telling.last(LAST).count { |record| !record.right } < WRONG
      end

      def many?(window, band)
        return true if window.size >= RECORDS && spread?(window)
        return false unless FIRST.include?(band)

        right = window.select(&:right)
        right.size >= FEW && spread?(right)
      end

      def spread?(records) = records.map(&:fact).uniq.size >= FACTS && records.map(&:day).uniq.size >= ON_DAYS

      # Beginners to ten must have shown parts, or known facts, to five.
      def there?(working, by_range, band, day, year, aimed)
        least = rung(band, year: year, aimed: aimed)
        return working.to_i >= least if least
        return true unless band == "to10"

        first = by_range.fetch("to5", []).select { |record| record.day <= day }
        scope = Progress::Scope.in_band("to5")
        Progress::Estimate.of(first, on: day, scope: scope).working.to_i >= PART_WHOLE
      end
      private_class_method :through, :enough?, :many?, :spread?, :there?
    end
  end
end
