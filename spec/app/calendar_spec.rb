# frozen_string_literal: true

require "app_helper"
require "icalendar"

RSpec.describe Exchange::Calendar do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }

  def events(text) = Icalendar::Calendar.parse(text).first.events

  it "reads as iCalendar, on the class's own clock also over the change of the clocks" do
    room.update(time_zone: "Europe/Amsterdam")
    days = [Date.new(2026, 3, 27), Date.new(2026, 3, 30)]
    days.each { |day| room.start_lesson(day).course.plan("twins") }
    text = described_class.new(room, from: days.first, to: days.last).to_s
    found = events(text)
    expect(found.map { |event| event.dtstart.to_time.utc.hour }).to eq([8, 7])
    expect(found.map { |event| [event.summary, (event.dtend.to_time - event.dtstart.to_time) / 60] })
      .to all(eq(["Maths: Twins", 7]))
    expect(found.map(&:uid).uniq.size).to eq(2)
    expect(text.lines.map(&:bytesize)).to all(be <= 77)
    expect(text).to include("BEGIN:VTIMEZONE", "TZID:Europe/Amsterdam", "\r\n")
    expect(text).not_to match(/Ada|Bo\b|Cleo/)
  end

  it "is read by a private address that can be changed and taken back, by nobody else" do
    room.start_lesson(room.today).course.plan("twins")
    sign_in teacher[0]
    get "/week/#{room.id}"
    send_form "/week/#{room.id}/calendar"
    key = room.refresh.calendar_key
    expect(get("/week/#{room.id}").body).to include(key)
    clear_cookies
    get "/calendar/#{key}.ics"
    expect(last_response.headers["content-type"]).to start_with("text/calendar")
    expect(events(last_response.body).size).to eq(1)
    sign_in teacher[0]
    get "/week/#{room.id}"
    send_form "/week/#{room.id}/calendar"
    expect(get("/calendar/#{key}.ics").status).to eq(404)
    get "/week/#{room.id}"
    send_form "/week/#{room.id}/calendar", off: "1"
    expect(room.refresh.calendar_key).to be_nil
    expect(get("/calendar/#{'0' * 32}.ics").status).to eq(404)
  end
end
