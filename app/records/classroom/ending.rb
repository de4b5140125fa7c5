# frozen_string_literal: true

module Records
  class Classroom
    # When a class ends, and when its children's names go.
    module Ending
      # Days after its end on which names and photos go; for how long somebody has to have been told; the least that is
      # ahead where a class has no end yet; the most.
      REMOVED = 120
      TOLD = 28
      AHEAD = 90
      MOST = 730
      # The usual end of a school year.
      SUMMER = [7, 31].freeze

      # @param from [Date]
      # @return [Date] the first end of a school year that is far enough ahead
      def self.usual(from)
        [from.year, from.year + 1].map { |year| Date.new(year, *SUMMER) }.find { |day| day >= from + AHEAD }
      end

      # Whether nothing is recorded any more.
      def over?(day = today) = !ends_on.nil? && day > ends_on

      # @return [Date] the earliest day on which names and photos go
      def empties_on = [ends_on + REMOVED, *(told_on + TOLD if told_on)].max

      # Whether somebody has to be told now.
      def to_be_told?(day = today) = !ends_on.nil? && emptied_on.nil? && day >= ends_on + REMOVED - TOLD

      # Somebody was told, of the end there is.
      def tell(day = today) = told_on || update(told_on: day)

      # Another end; who was told of the one before is told anew.
      # @return [Boolean] whether that may be
      def ends_at(day, today)
        return false unless day.between?(today, today + MOST) && emptied_on.nil?

        update(ends_on: day, told_on: nil)
        true
      end
    end
  end
end
