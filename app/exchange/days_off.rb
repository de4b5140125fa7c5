# frozen_string_literal: true

require "icalendar"

module Exchange
  # Days without school, as a calendar’s file has them (RFC 5545): its events of whole days.
  module DaysOff
    Day = Struct.new(:date, :name, keyword_init: true)
    # Days of a file that are taken; how far ahead they are looked for; lines and events a calendar of a school has.
    MOST = 120
    AHEAD = 400
    LINES = 6000
    EVENTS = 400

    module_function

    # @param text [String] an iCalendar file
    # @param from [Date] today: nothing before it is taken
    # @return [Array<Day>] school days, in order
    # @raise [Rungs::Error::Unreadable] where it is no such file, has no such day, or is far larger than a school's
    def read(text, from:)
      found = named(events(text), from..from + AHEAD)
      return found if found.any?

      raise Rungs::Error::Unreadable, "no whole day to come is in that file; choose one that a calendar saved (.ics)"
    rescue Icalendar::Parser::ParseError, ArgumentError, TypeError, RangeError
      raise Rungs::Error::Unreadable, "that is not a calendar’s file; choose one that ends in .ics"
    end

    def events(text)
      too_large if text.count("\n") > LINES
      events = Icalendar::Calendar.parse(text.dup.force_encoding(Encoding::UTF_8).scrub).flat_map(&:events)
      events.size > EVENTS ? too_large : events
    end

    # Each school day that some event is on, by the first of them.
    def named(events, days)
      spans = events.filter_map { |event| span(event)&.then { |span| [span, event.summary.to_s] } }
      found = days.lazy.select { |date| Rungs::SchoolDays.school_day?(date) }.filter_map do |date|
        there = spans.find { |span, _| span.cover?(date) }
        Day.new(date: date, name: there.last) if there
      end
      found.first(MOST)
    end

    # @return [Range<Date>, nil] nil where it is no event of whole days
    def span(event)
      return unless event.dtstart.is_a?(Icalendar::Values::Date)

      first = event.dtstart.to_date
      first..last_day(first, event.dtend || event.duration)
    end

    # An event of whole days ends on the morning after, or so many days later; else with its first day.
    def last_day(first, ending)
      return [ending.to_date - 1, first].max if ending.respond_to?(:to_date)
      return first unless ending.respond_to?(:weeks)

      first + [(ending.weeks * 7) + ending.days - 1, 0].max
    end

    def too_large = raise(Rungs::Error::Unreadable, "that calendar is larger than any school’s; save a year of it")
    private_class_method :events, :named, :span, :last_day, :too_large
  end
end
