# frozen_string_literal: true

module Rungs
  module Planning
    # Whether a child is ready in a range: on some day of the last year, so nobody is unready later (guide 11).
    #
    #   Ready.in?(heard, band: "to10", on: monday)
    module Ready
      # Days that are looked back on from an answer; how long ago it may be.
      DAYS = 42
      YEAR = 365
      # Records in them, on so many facts and days; of which so many are right; of the last four not two wrong.
      RECORDS = 4
      FACTS = 3
      ON_DAYS = 2
      RIGHT = Rational(4, 5)
      LAST = 4
      WRONG = 2
      # In the first ranges three right ones, on as many facts and on two days, are enough too.
      FIRST = %w[to5 to10].freeze
      FEW = 3
      PART_WHOLE = 3
      COUNT_ON = 2

      module_function

      # @param heard [Heard] of one child
      # @param on [Date] the first day of the week
      # @param year ["first", "kindergarten"]
      # @param aimed [Boolean] whether weeks have aimed at every rung of the range
      def in?(heard, band:, on:, year: "first", aimed: false)
        ready = lambda do |told, from, least|
          (least...told.size).reverse_each.any? do |index|
            day = told[index].day
            last = told[index + 1]&.day != day
            last && day >= from && enough?(told, index, band) && reached?(heard, band, day, year, aimed)
          end
        end
        # Mostly it was so of late, which is read faster.
        ready.call(heard.telling(band, from: on - (2 * DAYS)), on - DAYS, LAST - 1) ||
          ready.call(heard.telling(band), on - YEAR, 0)
      end

      # @return [Integer, nil] the rung that a range asks for; nil where any will do
      def rung(band, year: "first", aimed: false)
        return if band == "to5" || (band == "to10" && year == "kindergarten")

        band == "to10" && aimed ? COUNT_ON : PART_WHOLE
      end

      # @param index [Integer] up to which answer
      def enough?(told, index, band)
        day = told[index].day
        first = (0..index).bsearch { |place| told[place].day > day - DAYS }
        window = told[first..index]
        many?(window, band) && window.count(&:right) >= RIGHT * window.size &&
          told[[index - LAST + 1, 0].max..index].count { |record| !record.right } < WRONG
      end

      def many?(window, band)
        return true if window.size >= RECORDS && spread?(window)
        return false unless FIRST.include?(band)

        right = window.select(&:right)
        right.size >= FEW && spread?(right)
      end

      def spread?(records) = records.map(&:fact).uniq.size >= FACTS && records.map(&:day).uniq.size >= ON_DAYS

      # Beginners to ten must have shown parts, or known facts, to five.
      def reached?(heard, band, day, year, aimed)
        least = rung(band, year: year, aimed: aimed)
        return heard.rung_on(band, day).to_i >= least if least

        band != "to10" || heard.rung_on("to5", day).to_i >= PART_WHOLE
      end
      private_class_method :enough?, :many?, :spread?, :reached?
    end
  end
end
