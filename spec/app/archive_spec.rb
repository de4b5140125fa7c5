# frozen_string_literal: true

require "app_helper"
require_relative "../support/made_up_class"

RSpec.describe Exchange::Archive do
  include MadeUpClass

  let(:teacher) { make_teacher(children: %w[Ada Bo Cleo]) }
  let(:room) { teacher[1] }
  let(:ada) { room.children.first }
  let(:folder) { Dir.mktmpdir("rungs-archive") }
  # What is no part of a class in a file: who signs in, what is made again, and what is of a moment.
  let(:elsewhere) do
    %i[audit_events brought child_offers class_writes estimate_steps estimates facts invitations jobs memberships
       pieces standing_days standings tallies uploads visits]
  end
  let(:left_out) do
    { lessons: %i[code board board_version substitute_key shared_out], observations: %i[account_id visit_id carried],
      home_answers: %i[account_id],
      photos: %i[content],
      classrooms: %i[demo archived_on calendar_key told_on emptied_on] }
  end

  def fill
    recorder = Records::Recorder.new(room, teacher[0])
    posed = [pose(room, [9, 5]), pose(room, [6, 3])]
    posed.each_with_index do |problem, index|
      room.children.each do |child|
        recorder.record(child: child, problem: problem, code: "count_on", client_key: SecureRandom.uuid,
                        happened_at: Time.now - 60 + index, answer: 13, heard: [9, 10, 11])
      end
    end
    record = Records::Observation.where(child_id: ada.id).first
    recorder.undo(record.first_key, client_key: SecureRandom.uuid) if recorder.respond_to?(:undo)
    Records::Photo.attach(record, "\xFF\xD8\xFFjpeg".b, client_key: SecureRandom.uuid)
    lesson = posed[0].lesson
    lesson.update(listening: Sequel.pg_jsonb([{ "child" => ada.id, "reason" => "x" }]))
    lesson.keep_groups([room.children.first(2), room.children.last(1)])
    room.keep_apart([ada.id, room.children.last.id].sort)
    lesson.course.plan("by_heart", details: { "for" => [ada.id], "note" => "x" })
    posed[0].part.merge_details(sets: [{ level: "easier", children: [ada.id] }])
    posed[0].part.items.offered.add(posed[0].item, "9 + 5", child: ada)
    Records::Week.new(room, room.today).aim("I can count.", band: "to10", operation: "add")
    room.note_absence(ada, room.today, away: true)
    lesson.put_on_board(posed[1])
    lesson.command("uncover")
    room.add_home_answer(child_id: ada.id, day: room.today, code: "played")
  end

  after { FileUtils.rm_rf(folder) }

  def path = File.join(folder, SecureRandom.hex(6))
  def keep(bytes) = path.tap { |made| File.binwrite(made, bytes) }
  def written(of) = path.tap { |made| described_class.write(of, to: made) }

  def entries(path)
    Zip::File.open(path) { |zip| zip.entries.to_h { |entry| [entry.name, zip.read(entry)] } }
  end

  def estimates(of)
    rows = DB[:standings].where(classroom_id: of.id).order(:child_id, :operation, :scope)
    rows.select_map(%i[scope probabilities shown heard known])
  end

  it "comes back from another account as the same class, and written again is the same but for its date" do
    fill
    file = written(room)
    again = described_class.read(file).bring(make_teacher[0])
    expect(again.children.map(&:name)).to eq(%w[Ada Bo Cleo])
    first, second = [file, Timecop.freeze(Time.now + 86_400) { written(again) }].map { |path| entries(path) }
    expect(second.except("manifest.json")).to eq(first.except("manifest.json"))
    manifests = [first, second].map { |each| JSON.parse(each["manifest.json"]) }
    expect(manifests.map { |each| each.except("made_at") }.uniq.size).to eq(1)
    expect(estimates(again)).to eq(estimates(room))
    expect(again.apart.flatten).to eq(again.children.values_at(0, 2).map(&:id))
    expect(again.lessons.first.listening.first["child"]).to eq(again.children.first.id)
  end

  it "comes back with a week that was proposed, its check and its numbers for everybody" do
    week = Records::Week.new(room, Rungs::SchoolDays.monday(room.today + 7))
    hear_everybody(room, teacher[0])
    Records::Proposal.new(week, room.today).fill
    again = described_class.read(written(room)).bring(make_teacher[0])
    kinds = lambda do |of|
      of.lessons_dataset.order(:held_on).all.map { |each| each.course.parts.map { |part| [part.kind, part.minutes] } }
    end
    expect(kinds.call(again)).to eq(kinds.call(room))
    expect(kinds.call(again).flatten(1)).to include(["story_time", 0])
  end

  it "fits its schema, which is published, and which another reader takes too" do
    fill
    kept = File.expand_path("../../docs/schema/class.json", __dir__)
    File.write(kept, "#{JSON.pretty_generate(described_class::Schema.to_h)}\n") if ENV["WRITE"]
    same = JSON.parse(File.read(kept)) == described_class::Schema.to_h
    expect(same).to be(true), "WRITE=1 keeps docs/schema/class.json anew"
    sent = get("/schema/class.json")
    expect(JSON.parse(sent.body).except("$id") == JSON.parse(File.read(kept)).except("$id")).to be(true)
    read = keep(entries(written(room))["class.json"])
    expect(validated(read, kept)).to eq("#{Records::Observation.where(classroom_id: room.id).count} []")
    off = keep(entries(written(room))["class.json"].sub('"code":"count_on"', '"code":"by_magic"'))
    expect(validated(off, kept)).to include("by_magic")
    expect(`unzip -tq #{written(room)}`).to include("No errors")
  end

  it "reads what an earlier version wrote: where a child was then is told by an earlier rule" do
    DB[:came_with].insert(classroom_id: room.id, child_id: ada.id, operation: "add", band: "to10", rung: 2, rule: 2,
                          facts_heard: 7, facts_known: 3, sure: "clear", records: 4, day: room.today)
    expect(Records::CameWith.first(classroom_id: room.id).summary).to end_with("4 answers; 3 of 7 facts known")
    before = changed(written(room)) do |files|
      document = JSON.parse(files["class.json"])
      document["came_with"].each { |row| %w[rule facts_heard facts_known].each { |name| row.delete(name) } }
      files["class.json"] = JSON.generate(document.merge("version" => 3))
      files["manifest.json"] = files["manifest.json"].sub('"version": 4', '"version": 3')
    end
    again = described_class.read(before).bring(make_teacher[0])
    expect(Records::CameWith.first(classroom_id: again.id).summary)
      .to eq("to 10: count on, clear, 4 answers, told by an earlier rule")
  end

  # What is other after a class went to another account and was written there again.
  def lost_on_the_way(of)
    file = written(of)
    again = described_class.read(file).bring(make_teacher[0])
    first, second = [file, written(again)].map { |path| entries(path).except("manifest.json") }
    [*first.keys.reject { |name| first[name] == second[name] }, *(second.keys - first.keys),
     *("estimates" if estimates_by_name(of) != estimates_by_name(again))]
  end

  def estimates_by_name(of)
    rows = DB[:standings].where(Sequel[:standings][:classroom_id] => of.id).join(:children, id: :child_id)
    rows.select_map([:name, :operation, :scope, :probabilities, :heard, :known, Sequel[:standings][:last_at]])
        .sort_by(&:to_s)
  end

  it "comes back the same whatever class it is; the demo too", :seeds do
    rooms = seeds(16, few: 2).map { |seed| made_up_class(Random.new(seed)) }
    expect(rooms.sum { |each| DB[:observations].where(classroom_id: each.id).count }).to be > 20
    expect([*rooms, Demo::School.account.classrooms.first].flat_map { |each| lost_on_the_way(each) }).to eq([])
  end

  # How many answers somebody else's reader finds in a file, and what its validator says of it.
  def validated(file, schema)
    told = "import json, jsonschema; d = json.load(open('#{file}')); s = json.load(open('#{schema}')); " \
           "print(len(d['observations']), [e.message for e in jsonschema.Draft202012Validator(s).iter_errors(d)])"
    Open3.capture2e("/usr/bin/python3", "-c", told).first.strip
  end

  # The same file with something changed in it; sums are made right where they are not what is tried.
  def changed(from, sums: true)
    files = entries(from)
    yield files
    if sums
      manifest = JSON.parse(files["manifest.json"])
      manifest["sha256"] = files.except("manifest.json").transform_values { |each| Digest::SHA256.hexdigest(each) }
      files["manifest.json"] = JSON.generate(manifest)
    end
    path.tap do |made|
      Zip::OutputStream.open(made) { |zip| files.each { |name, bytes| zip.put_next_entry(name) && zip.write(bytes) } }
    end
  end

  def with_class(from)
    changed(from) do |files|
      document = JSON.parse(files["class.json"])
      yield document
      files["class.json"] = JSON.generate(document)
    end
  end

  it "refuses what is broken, hostile, newer or does not fit, in a sentence, and writes nothing", :deep do
    fill
    file = written(room)
    cut = keep(File.binread(file)[0..-200])
    newer = changed(file) { |all| all["manifest.json"] = all["manifest.json"].sub('"version": 4', '"version": 5') }
    { cut => /broken, or no ZIP/, __FILE__ => /cannot be read/, newer => /newer Rungs/,
      changed(file) { |all| all["../../evil"] = "x" } => /no file of a class/,
      changed(file, sums: false) { |all| all["class.json"] += " " } => /not what was put in/,
      changed(file) { |all| all["photos/000001.jpg"] = "<svg>" } => /no photo/,
      changed(file) { |all| all["class.json"] = "[" * 100 } => /cannot be read/,
      changed(file) { |all| all["class.json"] = "0" * (described_class::MOST_JSON + 1) } => /larger than it may be/,
      changed(file) do |all|
        all["class.json"] = "[#{'[],' * 1_000_001}[]]"
      end => /class.json in that file holds more than a class/,
      with_class(file) { |all| all["children"][0]["name"] = 7 } => /children.0.name is not as/,
      with_class(file) { |all| all["extra"] = [] } => /not as the schema/,
      with_class(file) { |all| all["class"]["settings"] = { "apart" => "x" } } => /settings.apart is not as/,
      with_class(file) { |all| all["class"]["time_zone"] = "Mars/Base" } => /something cannot be/,
      with_class(file) { |all| all["lesson_parts"][0]["details"] = { "thrown" => { "0" => { "parts" => "x" } } } } =>
        /cannot tell|cannot be/,
      with_class(file) { |all| all["problems"][0]["equation"] = "9 + + 5" } => /something cannot be/,
      with_class(file) do |all|
        all["lesson_parts"][0]["details"] = { "evil" => 1 }
      end => /something cannot be/ }.each do |path, words|
      expect { described_class.read(path) }.to raise_error(described_class::Refused, words)
    end
    account, classes = make_teacher[0], DB[:classrooms].count
    [with_class(file) { |all| all["observations"][0]["child_id"] = 99 },
     with_class(file) { |all| all["children"][1]["name"] = "Ada" }].each do |path|
      expect { described_class.read(path).bring(account) }.to raise_error(described_class::Refused, /fit together/)
    end
    expect(DB[:classrooms].count).to eq(classes)
  end

  it "holds a file to what forms are held to, and names the place" do
    fill
    file = written(room)
    first = ->(list, **changes) { with_class(file) { |all| all[list][0].merge!(changes.transform_keys(&:to_s)) } }
    many = with_class(file) do |all|
      there = all["children"].size
      more = Array.new(60) { |at| { **all["children"][0], "name" => "Kid #{at}", "number" => there + at + 1 } }
      all["children"] += more
    end
    { with_class(file) { |all| all["class"]["name"] = "" } => /class.name is not as/,
      with_class(file) { |all| all["class"]["ends_on"] = "9999-07-31" } => /class.ends_on is not as/,
      first.call("children", name: "") => /children.0.name/,
      first.call("children", name: "x" * 41) => /children.0.name/,
      first.call("lesson_parts", minutes: -1) => /lesson_parts.0.minutes/,
      first.call("lessons", held_on: "9999-01-01") => /lessons.0.held_on/,
      first.call("observations", rung: 99) => /observations.0.rung/,
      first.call("observations", answer: 10**30) => /observations.0.answer/,
      first.call("observations", replaces_id: 1) => /answer 1 replaces one that is no earlier/,
      first.call("lesson_parts", details: { "thrown" => { "1000000" => { "number" => 3 } } }) => /cannot tell/,
      first.call("lesson_parts", details: { "count" => 1_000_000 }) => /cannot tell/,
      many => /at most 60 children/ }.each do |path, words|
      expect { described_class.read(path) }.to raise_error(described_class::Refused, words)
    end
    head = { "format" => described_class::FORMAT, "version" => 1 }
    ['{"version":1}', "{\u0000", head.to_json, { **head, "version" => 3 }.to_json].each do |text|
      expect { Exchange::Incoming.of(keep(text), room, room.memberships.first.account) }
        .to raise_error(Rungs::Error, /no file of a class|cannot be read/)
    end
    expect { Exchange::Incoming.of(keep(""), room, room.memberships.first.account) }.not_to raise_error
  end

  it "takes as much as a class can have, and refuses one thing and one byte more" do
    fill
    file = written(room)
    described_class.read(file) # which makes the schema once, of the real limits
    things, bytes = Zip::File.open(file) { |zip| [zip.entries.size, zip.entries.sum(&:size)] }
    { "MOST_THINGS" => [things, /more photos/], "MOST" => [bytes, /larger than a class/] }.each do |name, (most, words)|
      stub_const("#{described_class}::#{name}", most)
      expect { described_class.read(file) }.not_to raise_error
      stub_const("#{described_class}::#{name}", most - 1)
      expect { described_class.read(file) }.to raise_error(described_class::Refused, words)
      stub_const("#{described_class}::#{name}", most)
    end
  end

  it "forgets no table and no column of what is kept of a class" do
    lists = described_class::Lists::ALL.to_h { |list| [list.name, list.columns] }
    lists[:classrooms] = described_class::Lists::CLASS.map(&:name)
    tables = DB.tables.select { |table| DB.schema(table).map(&:first).intersect?(%i[classroom_id part_id way_id]) }
    expect(tables - lists.keys).to match_array(elsewhere)
    lists.each do |table, columns|
      there = DB.schema(table).map(&:first) - %i[id classroom_id brought_id] - left_out.fetch(table, [])
      expect([table, there - columns, columns - there]).to eq([table, [], []])
    end
  end

  it "holds of one child only what is about that child" do
    fill
    posed = room.problems_dataset.first
    posed.update(story: "Ada and Bo have 9 shells.")
    told = described_class.of_child(ada)
    expect(described_class::Schema.fault(JSON.parse(told.to_json))).to be_nil
    expect(told["children"].map { |child| child["name"] }).to eq(["Ada"])
    expect(told.to_json).not_to match(/Bo\b|Cleo/)
    expect(told["observations"].size).to eq(Records::Observation.where(child_id: ada.id).count)
    expect(told["photos"].size + told["ways"].size + told["home_answers"].size).to eq(3)
  end
end
