# frozen_string_literal: true

module Rungs
  module Planning
    # What was new comes back after 2, 5 and 15 school days (guide 11).
    #
    #   since: Date, when it was new. on: Date, from which it is due again.
    DueAgain = Struct.new(:since, :on, keyword_init: true) do
      # @param days [Array<Date>] on which it was there, in order
      # @return [DueAgain, nil] nil where it came back often enough
      def self.of(days)
        first, *later = days
        left = self::AFTER.map { |count| SchoolDays.from(first + 1, count).last }
        later.each { |day| left.shift if left.any? && day >= left.first }
        new(since: first, on: left.first) if left.any?
      end
    end
    DueAgain::AFTER = [2, 5, 15].freeze
  end
end
