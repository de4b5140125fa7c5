# frozen_string_literal: true

require "app_helper"

RSpec.describe "What was tapped is kept right" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:posed) { pose(room) }
  let(:child) { room.children.first }

  def tap(**more)
    form = { child_id: child.id, problem_id: posed.id, code: "count_on", client_key: SecureRandom.uuid, **more }
    send_form "/listen/#{room.id}/records", htmx: true, **form.compact
  end

  def kept? = last_response.headers.key?("rungs-kept")
  def records = room.observations_dataset.order(:id)

  def listen(as: teacher[0])
    posed
    sign_in as
    get "/listen/#{room.id}"
  end

  it "says that a record, a correction and an undo are kept, and of nothing else" do
    listen
    key = SecureRandom.uuid
    expect(kept?).to be(false)
    tap(client_key: key)
    expect([last_response.status, kept?]).to eq([200, true])
    %w[changes undo].each do |what|
      send_form "/listen/#{room.id}/records/#{key}/#{what}", htmx: true, client_key: SecureRandom.uuid, help: "shown"
      expect([what, kept?]).to eq([what, true])
    end
    { child_id: 10**15, problem_id: 10**15, code: "x" }.each do |name, value|
      tap(name => value)
      expect([name, last_response.status, kept?]).to match([name, be_between(400, 499), false])
      expect(last_response.body).not_to match(/nothing/i)
    end
    %w[changes undo].each do |what|
      send_form "/listen/#{room.id}/records/#{SecureRandom.uuid}/#{what}", htmx: true, client_key: SecureRandom.uuid
      expect([what, last_response.status, kept?]).to eq([what, 404, false])
    end
    expect(records.count).to eq(3)
  end

  it "takes nothing for somebody else, whoever is signed in beside an open page" do
    listen
    who = last_response.body[/data-who="([^"]+)"/, 1]
    expect(who).to eq("account-#{teacher[0].id}")
    other, = make_teacher
    header "Rungs-Who", "account-#{other.id}"
    tap
    expect([last_response.status, kept?, last_response.body]).to match([401, false, /wait for who made them/])
    header "Rungs-Who", who
    tap
    expect(last_response.status).to eq(200)
    header "Rungs-Who", nil
  end

  it "refuses no tap for its time: one to come, one before there were classes, or none that can be read is now" do
    listen
    early = Time.now - 3600
    { (Time.now + 299).iso8601 => nil, (Time.now + 86_400).iso8601 => nil, "1970-01-01T00:00:07.000Z" => nil,
      "the ninth hour" => nil, "" => nil, early.iso8601(3) => early, "2000-01-01T00:00:00Z" => Time.utc(2000) }
      .each do |said, meant|
        tap(happened_at: said)
        expect([said, last_response.status]).to eq([said, 200])
        expect(records.last.happened_at).to be_within(5).of(meant || Time.now)
      end
  end

  it "takes how long ago it was on the tablet, whatever its clock says: at most fourteen days, never after now" do
    listen
    day = 86_400
    { [-20 * day, 0] => 0, [-20 * day, 3 * day] => 3 * day, [400 * day, 3 * day] => 3 * day, [0, 15 * day] => 14 * day,
      [0, -60] => 0 }.each do |(off, waited), ago|
      sending = Time.now + off
      header "Rungs-Clock", (sending.to_f * 1000).round.to_s
      tap(happened_at: (sending - waited).iso8601(3))
      expect(records.last.happened_at).to be_within(5).of(Time.now - ago)
    end
    header "Rungs-Clock", ((Time.now - (20 * 86_400)).to_f * 1000).round.to_s
    tap(held_at: (room.midnight(room.today - 1) + 36_000).iso8601)
    expect(records.last.happened_at).to eq(room.midnight(room.today - 1) + 36_000)
    header "Rungs-Clock", "noon"
    tap(happened_at: (Time.now - 60).iso8601(3))
    expect(records.last.happened_at).to be_within(5).of(Time.now - 60)
    header "Rungs-Clock", nil
  end

  it "tells in each answer what time it is, in pages too" do
    listen
    times = [last_response.headers["rungs-time"], last_response.body[/name="server-time" content="(\d+)"/, 1],
             get("/nowhere").headers["rungs-time"]]
    expect(times.map { |time| time.to_i / 1000 }).to all(be_within(5).of(Time.now.to_i))
  end

  it "keeps a substitute's times within the lesson" do
    lesson = posed.lesson.tap(&:ask_substitute)
    begun = posed.part.runs.first.started_at
    get "/substitute/#{lesson.substitute_key}"
    get "/listen/#{room.id}"
    { begun - 7200 => begun, Time.now + 600 => Time.now, Time.utc(1999) => Time.now }.each do |said, meant|
      tap(happened_at: said.iso8601(3))
      expect(records.last.happened_at).to be_within(2).of(meant)
    end
    Timecop.travel(Time.now + 1200)
    lesson.refresh.finish
    ended = lesson.refresh.ended_at
    Timecop.travel(Time.now + 1200)
    tap(happened_at: Time.now.iso8601(3))
    expect(records.last.happened_at).to be_within(2).of(ended)
  end

  it "keeps no answer under another problem than the one it was tapped for" do
    listen
    tap(equation: posed.equation)
    expect(last_response.status).to eq(200)
    tap(equation: "8 + 4 = □")
    expect([last_response.status, last_response.body]).to match([422, /answer to 8 \+ 4 = □, and there 9 \+ 5 = □/])
    part = posed.lesson.course.plan("twins", details: { "seed" => 1 })
    tap(problem_id: nil, part_id: part.id, item: 0, equation: "1 + 0 = □")
    expect([last_response.status, records.count]).to eq([422, 1])
  end

  it "keeps what waited of a child who left the list meanwhile, and says so" do
    listen
    child.update(left_on: room.today)
    tap
    expect([last_response.status, last_response.body]).to match([200, /#{child.name} \(off the list now\), just now/])
    expect(records.first.child_id).to eq(child.id)
    tap(child_id: make_teacher[1].children.first.id)
    expect(last_response.status).to eq(404)
  end

  describe "the clipboard" do
    let(:enter) { "/sheets/#{room.id}/enter?day=#{room.today}" }

    def columns = squeezed(get(enter)).scan(/data-part="(\d+)" data-item="(\d+)" data-equation="([^"]+)"/).uniq

    # Everybody counts on or makes ten, so that two ways of this day can be shared.
    def hear_ways(lesson)
      asked = lesson.course.tell([Rungs::Activity::POSED.data_for(Rungs::Problem.from_story("add_to.result", [9, 5]),
                                                                  "")])
      room.children.zip(%w[count_on make_ten count_all part_whole count_on]) do |each, code|
        Records::Recorder.new(room, teacher[0]).record(child: each, problem: asked, code: code, happened_at: Time.now,
                                                       client_key: SecureRandom.uuid)
      end
    end

    it "has the problems of the usual parts before the lesson begins, and keeps each answer under its own" do
      sign_in teacher[0]
      seen = get("/sheets/#{room.id}?sheet=clipboard").body
      expect([seen, room.lesson_on(room.today)]).to match([include("preview.png"), nil])
      get "/sheets/#{room.id}/sheet.pdf?sheet=clipboard"
      lesson = room.lesson_on(room.today)
      expect(lesson.course.parts.map(&:kind)).to eq(Rungs::Activity::USUAL)
      before = columns
      expect(before.size).to be_between(5, 8)
      hear_ways(lesson)
      expect(columns.first(before.size - 1)).to eq(before.first(before.size - 1))
      lesson.course.go(lesson.refresh.course.parts.find { |part| part.kind == "whose_way" })
      before.each do |part, item, equation|
        tap(problem_id: nil, part_id: part, item: item, equation: equation)
        expect([equation, last_response.status, records.last.posed_problem.equation]).to eq([equation, 200, equation])
      end
    end

    it "is of the same problems from its printing, the grid or the beginning of the lesson, whichever is first" do
      %w[enter print begin].each do |first|
        clear_cookies
        account, here = make_teacher
        sign_in account
        lesson = here.start_lesson(here.today)
        part = lesson.course.plan("whose_way", details: { "seed" => 4 })
        case first
        when "enter" then get("/sheets/#{here.id}/enter?day=#{here.today}")
        when "print" then get("/sheets/#{here.id}/sheet.pdf?sheet=practice&part=#{part.id}")
        else lesson.course.go(lesson.course.plan("twins"))
        end
        settled = part.refresh.details.to_h
        expect([first, settled["count"]]).to eq([first, settled["thrown"].size])
      end
    end
  end

  it "shows that one answer was heard twice within ten minutes, and undoes either" do
    listen
    keys = Array.new(3) { SecureRandom.uuid }
    tap(client_key: keys[0], happened_at: (Time.now - 700).iso8601)
    tap(client_key: keys[1], happened_at: (Time.now - 90).iso8601)
    expect(last_response.body).not_to include("heard twice", "Heard twice")
    tap(client_key: keys[2], code: "make_ten")
    expect(last_response.body).to include("Heard twice here: count on too", "records/#{keys[1]}/undo", "heard twice")
    expect(last_response.body).not_to include("records/#{keys[0]}/undo")
    rows = get("/listen/#{room.id}/heard?problem=#{posed.id}").body.scan(%r{<tr id="record-(\S+?)".*?</tr>}m)
    expect(rows.flatten.size).to eq(3)
    expect(last_response.body.scan("heard twice").size).to eq(2)
    send_form "/listen/#{room.id}/records/#{keys[1]}/undo", htmx: true, client_key: SecureRandom.uuid
    expect(get("/listen/#{room.id}/heard?problem=#{posed.id}").body).not_to include("heard twice")
  end

  it "tells the lesson's people what was heard, corrected and undone, and no board opened by its code" do
    listen
    events = Live::LessonEvents.new
    own, code = [true, false].map do |mine|
      UNIXSocket.pair.tap { |_, there| events.add(posed.lesson_id, there, 1, own: mine) }.first
    end
    sleep 0.3
    [own, code].each { |socket| socket.readpartial(4000) }
    key = SecureRandom.uuid
    tap(client_key: key)
    send_form "/listen/#{room.id}/records/#{key}/undo", htmx: true, client_key: SecureRandom.uuid
    told = +""
    told << own.readpartial(4000) while told.scan("event: heard").size < 2 && own.wait_readable(3)
    said = JSON.parse(told[/data: (\{.*?\})/, 1])
    expect(said).to eq("problem" => posed.id, "child" => child.id, "key" => key, "made" => key)
    expect(code.wait_readable(0.3) ? code.readpartial(4000) : "").not_to include("heard")
    events.stop
  end

  it "always finds room for a window of the lesson's people, in the place of a board opened by its code" do
    events = Live::LessonEvents.new
    pairs = Array.new(20) { UNIXSocket.pair }
    pairs.each { |_, there| events.add(posed.lesson_id, there, 1) }
    expect([events.room?(posed.lesson_id), events.room?(posed.lesson_id, own: true)]).to eq([false, true])
    expect(events.size(posed.lesson_id)).to eq(19)
    events.stop
  end
end
