# frozen_string_literal: true

require "app_helper"

# What depends on the day, tried on each weekday and at weekends, where the clocks change, at the ends of months and
# years, on 29 February, and where the class is far east or west.
RSpec.describe "Days" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:plain) { SettledClock::DAYS.first(7) }

  def in_zone(zone)
    room.update(time_zone: zone)
    Records::Classroom[room.id]
  end

  def body(path)
    clear_cookies
    sign_in teacher[0]
    get(path).body
  end

  def hear(here, child, at)
    asked = pose(here, at: at, day: here.today(at))
    Records::Recorder.new(here, teacher[0]).record(child: child, problem: asked, code: "count_on", happened_at: at,
                                                   client_key: SecureRandom.uuid)
  end

  it "is the class's own day from its first minute to its last, whatever the day" do
    on_all_days do |day, zone|
      here = in_zone(zone)
      [[0, 0], [23, 59]].each do |hour, minute|
        at = TZInfo::Timezone.get(zone).local_time(day.year, day.month, day.day, hour, minute)
        expect([zone, hour, here.today(at)]).to eq([zone, hour, day])
      end
      expect(here.today(here.midnight(day))).to eq(day)
      expect(here.today(here.midnight(day) - 1)).to eq(day - 1)
    end
  end

  it "opens each page on any day", :deep do
    on_all_days(zones: %w[Pacific/Kiritimati America/Los_Angeles]) do |_, zone|
      here = in_zone(zone)
      pages = %w[today lesson week listen climb hear groups back sheets find].map { |tab| "/#{tab}/#{here.id}" }
      clear_cookies
      sign_in teacher[0]
      pages.each { |path| expect([path, get(path).status]).to eq([path, 200]) }
    end
  end

  it "shows the week that is to come at a weekend, and whom to hear in it", :deep do
    plain.each do |day|
      on_day(day) do
        coming = day.cwday > 5 ? day + 8 - day.cwday : day
        week = body("/week/#{room.id}")
        expect([day, week[/Week of ([^<]+)/, 1]]).to eq([day, (coming - (coming.cwday - 1)).strftime("%-d %B")])
        head = day.cwday > 5 ? "Whom to hear on #{coming.strftime('%A %-d %B')}" : "Whom to hear"
        expect([day, body("/today/#{room.id}")]).to match([day, include(head)])
        expect([day, body("/sheets/#{room.id}")]).to match([day, include("preview.png?day=#{coming}")])
      end
    end
  end

  it "begins a lesson on a Saturday where somebody wants to" do
    on_day(Date.new(2026, 11, 28)) do
      body("/today/#{room.id}")
      send_form "/lesson/#{room.id}/go", to: "start"
      expect(room.lesson_on(Date.new(2026, 11, 28)).course.current).not_to be_nil
      expect(body("/today/#{room.id}")).to include("Whom to hear", "going on now")
      expect(body("/week/#{room.id}")).to include("Week of 30 November")
    end
  end

  it "names the days of two weeks by their weekday, on every day, and counts no single school day", :deep do
    child, *others = room.children
    others.each { |other| other.update(left_on: room.today) }
    plain.each do |day|
      [1, 2, 3, 6, 7, 13, 14].each do |ago|
        DB[:observations].where(classroom_id: room.id).delete
        DB[:tallies].where(classroom_id: room.id).delete
        on_day(day - ago) { hear(room, child, Time.now) }
        on_day(day) do
          heard = day - ago
          said = body("/climb/#{room.id}")[/class="last"><span[^>]*>((?!not yet)[^<]+)/, 1]
          format = { (1..6) => "%A", (7..13) => "%A %-d %B" }.find { |span, _| span.cover?(ago) }&.last || "%-d %B"
          expect([day, ago, said]).to eq([day, ago, heard.strftime(format)])
          pages = body("/hear/#{room.id}") + body("/today/#{room.id}")
          expect(pages).not_to match(/this weekend|\b1 school day\b|was heard today/)
          expect(pages).to include("was last heard on #{heard.strftime('%A')}") if ago < 5
        end
      end
    end
  end

  it "looks back on the last lesson by its weekday at the weekend" do
    on_day(Date.new(2026, 11, 27)) { hear(room, room.children.first, Time.now) }
    [28, 29].each do |day|
      on_day(Date.new(2026, 11, day)) do
        expect(body("/today/#{room.id}")).to include("What Friday 27 November showed")
        expect(body("/back/#{room.id}")).to include("Friday 27 November")
        expect(body("/back/#{room.id}?view=week")).to include("23 November to 29 November")
      end
    end
  end

  it "proposes a week on every day, only for school days to come", :deep do
    on_all_days(zones: %w[Europe/London]) do |day, zone|
      account, here = make_teacher
      here.update(time_zone: zone)
      clear_cookies
      sign_in account
      get "/week/#{here.id}"
      monday = last_response.body[/name="from" value="([^"]+)"/, 1]
      send_form "/week/#{here.id}/propose", from: monday
      planned = here.lessons_dataset.select_map(:held_on)
      expect([day, planned.min, planned.size]).to match([day, be >= day, be_between(1, 5)])
      expect(planned).to all(satisfy { |each| each.cwday < 6 })
    end
  end

  it "keeps a board's code and a substitute's link to the class's own day" do
    on_all_days do |day, zone|
      here = in_zone(zone)
      lesson = here.start_lesson(day)
      lesson.ask_substitute
      code = lesson.open_code
      opened = [Records::Lesson.by_code(code), Records::Lesson.by_substitute_key(lesson.substitute_key)]
      expect([day, zone, opened.compact.size]).to eq([day, zone, 2])
      Timecop.travel(here.midnight(day + 1) + 1) do
        closed = [Records::Lesson.by_code(code), Records::Lesson.by_substitute_key(lesson.substitute_key)]
        expect([day, zone, closed]).to eq([day, zone, [nil, nil]])
      end
    end
  end
end
