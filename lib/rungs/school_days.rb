# frozen_string_literal: true

require "date"

module Rungs
  # Mondays to Fridays, without the days on which no school is held anywhere.
  module SchoolDays
    WEEK = (1..5)
    # Month and day.
    HOLIDAYS = [[1, 1], [12, 25]].freeze

    module_function

    # @param day [Date]
    def school_day?(day) = WEEK.cover?(day.wday) && !holiday?(day)

    # @param day [Date]
    def holiday?(day) = HOLIDAYS.include?([day.month, day.day])

    # @return [Date] the first day of its week
    def monday(day) = day - (day.cwday - 1)

    # @return [Integer] school days after one day, up to and with another
    def between(from, to) = ((from + 1)..to).count { |day| school_day?(day) }

    # @return [Array<Date>] the first so many school days from a day on, with it
    def from(day, count) = (day..).lazy.select { |each| school_day?(each) }.first(count)

    # @return [Array<Date>] the last so many school days before a day, the latest last
    def before(day, count)
      (1..).lazy.map { |back| day - back }.select { |each| school_day?(each) }.first(count).reverse
    end

    # @return [Date] the first school day after a day
    def after(day) = from(day + 1, 1).first
  end
end
