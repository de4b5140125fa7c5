# frozen_string_literal: true

require "icalendar"
require "icalendar/tzinfo"

module Exchange
  # A class's lessons as iCalendar (RFC 5545), in the class's time zone: what is done and for how long; no child's name.
  #
  #   Calendar.new(room, from: Date.new(2026, 11, 23), to: Date.new(2026, 12, 18)).to_s
  class Calendar
    # @param room [Records::Classroom]
    # @param from [Date]
    # @param to [Date] with it
    def initialize(room, from:, to:)
      @room = room
      @days = from..to
    end

    # @return [String]
    def to_s
      calendar = Icalendar::Calendar.new
      calendar.prodid = "-//Rungs//lessons//EN"
      calendar.x_wr_calname = "#{I18n.t('maths').capitalize}, #{@room.name}"
      calendar.add_timezone(@room.zone.ical_timezone(Time.utc(@days.begin.year, 1, 1)))
      lessons.each { |lesson| calendar.add_event(event(lesson)) }
      calendar.publish
      calendar.to_ical
    end

    private

    def lessons
      there = @room.lessons_dataset.where(held_on: @days).order(:held_on).all
      there.select { |lesson| lesson.course.parts.any? }
    end

    def event(lesson)
      parts = lesson.course.parts
      start = at(lesson.held_on)
      Icalendar::Event.new.tap do |event|
        event.uid = "lesson-#{lesson.id}@rungs"
        event.dtstamp = Icalendar::Values::DateTime.new(Time.now.utc, "tzid" => "UTC")
        event.dtstart = local(start)
        event.dtend = local(start + (parts.sum(&:minutes) * 60))
        event.summary = "#{I18n.t('maths').capitalize}: #{parts.map(&:title).join(', ')}"
        event.description = parts.map { |part| "#{part.minutes} min  #{part.title}" }.join("\n")
      end
    end

    # On the class's own clock.
    def at(day)
      hour, minute = @room.setting("starts").split(":").map(&:to_i)
      Time.utc(day.year, day.month, day.day, hour, minute)
    end

    def local(time) = Icalendar::Values::DateTime.new(time.to_datetime, "tzid" => @room.time_zone)
  end
end
