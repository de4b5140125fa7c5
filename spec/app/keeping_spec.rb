# frozen_string_literal: true

require "app_helper"
require "csv"

RSpec.describe "Records" do
  let(:teacher) { make_teacher(children: ["Ada", "=Bo", "Cleo"]) }
  let(:room) { teacher[1] }
  let(:ada) { room.children.find { |child| child.name == "Ada" } }
  let(:path) { "/records/#{room.id}" }

  before { sign_in teacher[0] }

  def hear(child = ada, parts = [9, 5], code: "count_on", **more)
    recorder = Records::Recorder.new(room, teacher[0])
    recorder.record(child: child, problem: pose(room, parts), code: code, client_key: SecureRandom.uuid,
                    happened_at: Time.now, **more)
  end

  def file(text, name: "a.csv") = Rack::Test::UploadedFile.new(StringIO.new(text), "text/csv", original_filename: name)

  # What somebody else's reader says.
  def python(text, code)
    told = "import csv, json, sys; #{code}"
    Open3.capture2("/usr/bin/python3", "-c", told, stdin_data: text).first.force_encoding("UTF-8")
  end

  def follow = get(URI(last_response.headers["location"]).request_uri)

  # Looks at a file, and gives the address of what it would bring.
  def look_at(text)
    get path
    send_form "#{path}/in", file: text.is_a?(String) ? file(text) : text
    follow
    last_request.path
  end

  it "gives a table of the answers that stand, harmless to a spreadsheet, which Rungs and others read" do
    late = Time.utc(2026, 11, 22, 23, 30) # Monday already, where the class is
    hear(room.children.find { |child| child.name == "=Bo" }, answer: 13, happened_at: late)
    wrong = hear
    Records::Recorder.new(room, teacher[0]).undo(wrong.first_key, client_key: SecureRandom.uuid)
    told = get("#{path}/answers.csv").body
    rows = CSV.parse(told, headers: true)
    expect(rows.map { |row| row.to_h.slice("child", "equation", "rung", "answer", "right") }).to eq(
      [{ "child" => "'=Bo", "equation" => "9 + 5 = □", "rung" => "count_on", "answer" => "13", "right" => "no" }]
    )
    expect(rows.map { |row| row.values_at("date", "time") }).to eq([%w[2026-11-23 00:30]])
    expect(told).to start_with("#{Exchange::Answers::COLUMNS.join(',')}\r\n").and end_with("\r\n")
    expect(Exchange::RecordRows.read(told).map(&:child)).to eq(["=Bo"])
    expect(python(told, "print(list(csv.DictReader(sys.stdin))[0]['equation'])")).to eq("9 + 5 = □\n")
  end

  it "sends what is long in pieces of a size, none of it lost and nothing empty" do
    sent, lines = [], Array.new(500) { |at| "#{at} " * 60 }
    chunks = Exchange::Chunks.new(sent)
    lines.each { |line| chunks << line }
    2.times { chunks.flush }
    expect(sent.join).to eq(lines.join)
    expect(sent[0..-2].map(&:bytesize)).to all(be_between(Exchange::Chunks::LARGE + 1, Exchange::Chunks::LARGE + 400))
    expect(sent.last).not_to be_empty
  end

  it "gives every version a line, and a statement for each answer that stands" do
    wrong = hear
    Records::Recorder.new(room, teacher[0]).correct(wrong.first_key, client_key: SecureRandom.uuid, code: "make_ten")
    lines = get("#{path}/answers.jsonl").body.lines.map { |line| JSON.parse(line) }
    expect(lines.map { |line| line.values_at("heard_as", "stands") }).to eq([["count_on", false], ["make_ten", true]])
    statements = JSON.parse(get("#{path}/statements.json").body)
    expect(statements.size).to eq(1)
    expect(statements[0]["result"]["extensions"].values).to include("make_ten")
    expect(statements.to_s).not_to include("Ada", "@")
  end

  it "gives what is kept of one child as a file and as pages, and says so in the log; not of another class" do
    hear
    told = JSON.parse(get("#{path}/child?child=#{ada.id}&as=json").body)
    expect(told["children"].map { |child| child["name"] }).to eq(["Ada"])
    pages = get("#{path}/child?child=#{ada.id}&as=pdf").body
    expect(pages).to start_with("%PDF")
    text, = Open3.capture2("pdftotext", "-", "-", stdin_data: pages, binmode: true)
    expect(text.force_encoding("UTF-8")).to include("All that is kept of Ada", "count on")
    other = make_teacher[1]
    get "#{path}/child?child=#{other.children.first.id}&as=json"
    expect(last_response.status).to eq(404)
    expect(get(path).body).to include("took out what is kept of one child")
  end

  it "tells the next teacher where the class and each child is, what to do first, and names nobody but them" do
    room.children.each { |child| 5.times { |time| hear(child, [9, 2 + time], answer: time.zero? ? 12 : nil) } }
    text, = Open3.capture2("pdftotext", "-layout", "-", "-", stdin_data: get("#{path}/next.pdf").body, binmode: true)
    text = text.force_encoding("UTF-8")
    expect(text).to include("Where the class is", "On the first day", "Ada", "Cleo", "works out mostly by counting on")
    expect(text).not_to match(/\d%|0\.\d/)
    expect(text.scan("\f").size).to eq(4)
    room.children.each { |child| Records::Erasing.new(child).call }
    expect(get("#{path}/next.pdf").status).to eq(422)
  end

  it "saves the class and brings it into another account, where it can be taken back" do
    hear
    get path
    send_form "#{path}/class"
    zip = last_response.body
    other, room_of_other = make_teacher
    clear_cookies
    sign_in other
    mine = room_of_other.id
    get "/records/#{mine}"
    send_form "/records/#{mine}/in", file: file(zip, name: "class.zip")
    follow
    expect(squeezed).to include("3 children, 1 lesson, 1 answer, 0 photos")
    send_form last_request.path
    made = URI(last_response.headers["location"]).path
    expect(get(made).body).to include("The class from class.zip")
    send_form "/records/#{mine}/in", file: file(zip, name: "class.zip")
    follow
    expect(last_response.body).to include("Reading it again adds nothing")
    send_form last_request.path
    expect([last_response.status, other.refresh.classrooms.size]).to eq([422, 2])
    again = Records::Classroom[made[/\d+\z/].to_i]
    expect(again.key).to eq(room.key)
    send_form "/records/#{again.id}/brought/#{Records::Brought.last.id}/away"
    expect(Records::Classroom[again.id]).to be_nil
    expect(room.refresh.children.size).to eq(3)
  end

  it "says how far a file is that is made or read beside, in lines or photos, and whose turn it is" do
    job = Records::Job.create(account_id: teacher[0].id, classroom_id: room.id, kind: "bring_in", state: "waiting",
                              asked: Sequel.pg_jsonb({}))
    told = -> { squeezed(get("#{path}/jobs/#{job.id}")) }
    expect(told.call).to include("Waits for what was asked for before.")
    job.update(state: "going", done: 1, total: 3)
    expect(told.call).to include("1 of 3 lines are in.")
    job.update(kind: "class_file", done: 2)
    expect(told.call).to include("2 of 3 photos are in.")
    job.update(total: 1, done: 0)
    expect(told.call).to include("It is being made.")
  end

  it "hands over lessons of days in their order, of a year and a little at most" do
    get path
    days = [[0, -1], [0, 401], [0, 400], [0, 0]].map { |between| between.map { |more| (room.today + more).iso8601 } }
    told = days.map do |from, to|
      send_form "#{path}/plans", from: from, until: to
      last_response.status
    end
    expect(told).to match([422, 422, be < 400, be < 400])
  end

  it "hands over what was asked for: every answer or where each child is, with photos or without" do
    hear
    get path
    [%w[records true], %w[records false], %w[estimates true]].each do |as, photos|
      send_form "#{path}/handed", children: [room.children.first.id], as: as, photos: photos
    end
    forms = Records::Job.order(:id).last(3).reverse.map { |job| job.asked.values_at("records", "photos") }
    expect(forms).to eq([[true, true], [true, false], [false, true]])
  end

  it "brings in last year's answers after a look, twice only once, and takes them back" do
    hear(code: "known_fact")
    table = "Pupil;Day;Sum;How\nAda;2026-03-02;9 + 5 = ?;2\nAda;2026-03-02;9 + 5 = ?;2\nZed;2026-03-03;1 + 1 = ?;1\n" \
            "Ada;yesterday;1 + 1 = ?;1\n"
    there = look_at(table)
    expect(squeezed).to include("3 lines can be read: 3 new", "Not on the list: Zed",
                                "Line 5: “yesterday” is not a date")
    columns = { "child" => "Pupil", "date" => "Day", "equation" => "Sum", "rung" => "How" }
    send_form there, columns: columns
    expect(room.observations_dataset.count).to eq(3)
    estimate = Records::Evidence.new(room).all(ada).size
    expect(estimate).to eq(3)
    look_at(table)
    expect(squeezed).to include("3 lines can be read: 1 new, 2 there already")
    send_form "#{path}/brought/#{Records::Brought.last.id}/away"
    expect(room.observations_dataset.count).to eq(1)
    expect(room.lessons_dataset.select_map(:held_on)).to eq([room.today])
    expect(look_at(table) && squeezed).to include("3 new")
    send_form last_request.path, columns: columns, adding: "true"
    expect(room.refresh.children.map(&:name)).to include("Zed")
  end

  it "names lines of days that cannot be, and adds no more children than a class may have" do
    names = (1..60).map { |number| "Kid#{number}" }
    lines = [*names, "Z" * 41].map { |name| "#{name},2026-03-02,1 + 1 = ?,1" }
    others = %w[2999 1999].map { |year| "Ada,#{year}-01-01,1 + 1 = ?,1" }
    there = look_at(["child,date,equation,rung", *others, *lines].join("\n"))
    expect(squeezed).to include("61 lines can be read", "Line 2: 2999-01-01 is no day", "Line 3: 1999-01-01 is no day")
    send_form there, adding: "true"
    expect(room.refresh.children.size).to eq(60)
    expect(room.observations_dataset.count).to eq(57)
  end

  it "asks which column is what where the headings do not say it, and refuses what is no table" do
    look_at("a,b\n1,2\n")
    expect(last_response.body).to include("Say which column is child")
    look_at("\xFF\xFE\x00")
    expect(last_response.status).to eq(422)
    send_form "#{path}/in"
    expect(last_response.status).to eq(422)
    get "#{path}/in/999999999"
    expect(last_response.status).to eq(422)
  end

  it "lets a class end: told on Today, closed to recording, and after four weeks without names and photos" do
    Timecop.freeze(Time.utc(2026, 9, 7, 10)) do
      hear.then { |record| Records::Photo.attach(record, "\xFF\xD8\xFF".b, client_key: SecureRandom.uuid) }
      room.problems_dataset.first.update(story: "Ada has 9 shells.")
      send_form "#{path}/end", ends_on: "2027-07-09"
    end
    state = lambda do |day|
      Timecop.freeze(Time.utc(*day, 10)) do
        sign_in teacher[0]
        steps = Records::LettingGo.call(dry: true).select { |step| step.room.id == room.id }
        Records::LettingGo.call
        [steps.map(&:does), get("/today/#{room.id}").body[/This class ended/], room.refresh.children.map(&:name)[0]]
      end
    end
    expect(state.call([2027, 7, 9])).to eq([[], nil, "=Bo"])
    expect(state.call([2027, 8, 1])).to eq([[], "This class ended", "=Bo"])
    expect([room.refresh.told_on, squeezed]).to match([nil, not_include("are removed on")])
    Timecop.freeze(Time.utc(2027, 8, 1, 10)) { expect { hear }.to raise_error(Records::Recorder::Closed) }
    expect(state.call([2027, 10, 20])).to eq([[], "This class ended", "=Bo"])
    expect([room.refresh.told_on, squeezed]).to match([Date.new(2027, 10, 20), include("photos are removed on")])
    expect(state.call([2027, 11, 16])[0]).to eq([])
    expect(state.call([2027, 11,
                       17])).to eq([["children’s names and photos would be removed"], "This class ended", "Child 1"])
    expect(room.problems_dataset.first.story).to eq("somebody has 9 shells.")
    expect(DB[:photos].where(classroom_id: room.id).count).to eq(0)
    expect(room.observations_dataset.count).to eq(1)
  end

  it "tells whoever keeps the machine where no teacher came, and lets four weeks go by then" do
    room.update(ends_on: Date.new(2027, 7, 9))
    say = lambda do |day|
      Records::LettingGo.call(now: Time.utc(*day, 10)).select { |step| step.room.id == room.id }.map(&:does)
    end
    expect(say.call([2027, 11, 5])).to eq([])
    expect(say.call([2027, 11, 6])).to eq(["no teacher has seen that names and photos go; they go on 2027-12-04"])
    expect(say.call([2027, 12, 3])).to eq([])
    expect(say.call([2027, 12, 4])).to eq(["children’s names and photos were removed"])
    expect(say.call([2027, 12, 5])).to eq([])
  end

  it "ends a class on a day to come only, and a new one with the school year" do
    [Date.today - 1, Date.today + 800].each do |day|
      send_form "#{path}/end", ends_on: day.iso8601
      expect(last_response.status).to eq(422)
    end
    usual = ->(*day) { Records::Classroom::Ending.usual(Date.new(*day)).iso8601 }
    expect([usual.call(2026, 9, 1), usual.call(2027, 5, 2), usual.call(2027, 5, 3)])
      .to eq(%w[2027-07-31 2027-07-31 2028-07-31])
  end

  it "says when the last good copy was, on Today too where that is longer ago than two days" do
    DB.transaction(rollback: :always) do
      DB[:copies].delete
      expect(get(path).body).to include("There is no good copy yet")
      expect(get("/today/#{room.id}").body).not_to include("no good copy")
      DB[:copies].insert(made_at: Time.now - 3600, file: "a", bytes: 1, rows: 1, good: true)
      expect([Records::Copy.late?, Records::Copy.due?(Time.now + 86_400)]).to eq([false, true])
      expect(squeezed(get(path))).to include("Last good copy:<strong>")
      DB[:copies].update(made_at: Time.now - 200_000)
      expect(get("/today/#{room.id}").body).to include("no good copy of what is kept here")
      DB[:copies].insert(made_at: Time.now, file: "", bytes: 0, rows: 0, good: false, trouble: "the disk is full")
      expect([Records::Copy.late?, Records::Copy.due?]).to eq([true, false])
    end
  end
end
