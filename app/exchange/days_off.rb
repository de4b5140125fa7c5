# frozen_string_literal: true

require "icalendar"

module Exchange
  # Days without school, as a calendar’s file has them (RFC 5545): its events of whole days.
  module DaysOff
    Day = Struct.new(:date, :name, keyword_init: true)
    # Days of a file that are taken; how far ahead they are looked for.
    MOST, AHEAD = 120, 400

    module_function

    # @param text [String] an iCalendar file
    # @param from [Date] today: nothing before it is taken
    # @return [Array<Day>] school days, in order
    # @raise [Rungs::Error::Unreadable] where it is no such file, or has no such day
    def read(text, from:)
      events = Icalendar::Calendar.parse(text.dup.force_encoding(Encoding::UTF_8).scrub).flat_map(&:events)
      found = events.flat_map { |event| days(event, from) }.uniq(&:date).sort_by(&:date).first(MOST)
      return found if found.any?

      raise Rungs::Error::Unreadable, "no whole day to come is in that file; choose one that a calendar saved (.ics)"
    rescue Icalendar::Parser::ParseError, ArgumentError, TypeError
      raise Rungs::Error::Unreadable, "that is not a calendar’s file; choose one that ends in .ics"
    end

    # An event of whole days ends on the morning after.
    def days(event, from)
      return [] unless event.dtstart.is_a?(Icalendar::Values::Date)

      first = event.dtstart.to_date
      last = event.dtend ? event.dtend.to_date - 1 : first
      span = [first, from].max..[last, from + AHEAD].min
      school = span.select { |date| Rungs::SchoolDays.school_day?(date) }
      school.map { |date| Day.new(date: date, name: event.summary.to_s) }
    end
    private_class_method :days
  end
end
