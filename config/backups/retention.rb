# frozen_string_literal: true

require "date"

class Backups
  # Which copies stay: those of the last days, and the first of each of the last weeks and months.
  module Retention
    DAYS = 14
    WEEKS = 8
    MONTHS = 12

    module_function

    # @param dated [Hash{String => Date}] files and their days
    # @param today [Date]
    # @return [Array<String>] files
    def stay(dated, today)
      late = dated.select { |_, day| day > today - DAYS }.keys
      weekly = first_of(dated, WEEKS) { |day| [day.cwyear, day.cweek] }
      late | weekly | first_of(dated, MONTHS) { |day| [day.year, day.month] }
    end

    def first_of(dated, count)
      dated.group_by { |_, day| yield day }.sort.last(count).map { |_, all| all.map(&:first).min }
    end
    private_class_method :first_of
  end
end
