# frozen_string_literal: true

require "app_helper"

RSpec.describe Exchange::DaysOff do
  let(:monday) { Date.new(2026, 11, 30) }

  def calendar(*events)
    inside = events.map { |lines| ["BEGIN:VEVENT", *lines, "SUMMARY:Harbour day", "END:VEVENT"] }
    ["BEGIN:VCALENDAR", "VERSION:2.0", *inside.flatten, "END:VCALENDAR", ""].join("\r\n")
  end

  def days(*lines) = described_class.read(calendar(lines), from: monday).map(&:date)

  it "ends an event on the morning after, by its length, or with its first day" do
    start = "DTSTART;VALUE=DATE:20261130"
    { "DTEND;VALUE=DATE:20261202" => 2, "DTEND;VALUE=DURATION:P3D" => 3, "DURATION:P1W" => 5, "DURATION:PT5H" => 1,
      "DTEND;VALUE=DATE:20261130" => 1, "DTEND:20261203T100000Z" => 3, "X-NOTE:x" => 1,
      "DTEND;VALUE=DATE:20251130" => 1 }
      .each { |ending, many| expect([ending, days(start, ending).size]).to eq([ending, many]) }
  end

  it "says in a sentence what is no calendar, and what is larger than any" do
    start = "DTSTART;VALUE=DATE:20261130"
    [[start, "DTEND:tomorrow"], [start, "DTEND;VALUE=DATE:"], ["DTSTART;VALUE=DATE:20261341"],
     ["DTSTART:x"]].each do |bad|
      expect { days(*bad) }.to raise_error(Rungs::Error::Unreadable)
    end
    many = Array.new(401) { [start] }
    [calendar(*many), calendar([start, *["X-NOTE:x"] * 6000])].each do |large|
      expect { described_class.read(large, from: monday) }.to raise_error(Rungs::Error::Unreadable, /larger than any/)
    end
  end

  it "takes the days to come of an event of any length, each once" do
    ages = Array.new(400) { ["DTSTART;VALUE=DATE:20000101", "DTEND;VALUE=DATE:99991231"] }
    found = described_class.read(calendar(*ages), from: monday)
    expect([found.size, found.first.date, found.map(&:date).uniq.size]).to eq([120, monday, 120])
  end
end
