# frozen_string_literal: true

require "app_helper"
require_relative "../../config/backups"

RSpec.describe Records::Erasing do
  let(:name) { "Quill#{Array.new(6) { ('a'..'z').to_a.sample }.join}" }
  let(:teacher) { make_teacher(children: [name, "Bo", "Cleo"]) }
  let(:room) { teacher[1] }
  let(:child) { room.children_dataset.first(name: name) }
  let(:other) { room.children_dataset.first(name: "Bo") }

  # All that a class can hold of a child.
  def fill
    posed = pose(room, [9, 5])
    posed.update(story: "#{name} has 9 shells and finds 5. How many?")
    recorder = Records::Recorder.new(room, teacher[0])
    [child, other].each do |each|
      record = recorder.record(child: each, problem: posed, code: "count_on", client_key: SecureRandom.uuid,
                               happened_at: Time.now, answer: 13)
      Records::Photo.attach(record, "jpeg", client_key: SecureRandom.uuid)
    end
    lesson = posed.lesson
    lesson.update(listening: Sequel.pg_jsonb([{ "child" => child.id, "reason" => "x" }]))
    lesson.keep_groups([[child, other]])
    room.keep_apart([child.id, other.id].sort)
    told = Rungs::Activity::POSED.data_for(Rungs::Problem.from_story("add_to.result", [3, 2]),
                                           "#{name} and Bo find 3 and 2.")
    lesson.course.plan("story_time").items.add([told])
    lesson.course.plan("by_heart", details: { "for" => [child.id, other.id], "note" => "For #{name}, Bo" })
    lesson.course.plan("twins", details: { "why" => "Start counted: #{name} and Bo.", "slip" => "start_counted" })
    posed.part.merge_details(sets: [{ level: "easier", children: [child.id] },
                                    { level: "middle", children: [other.id] }])
    posed.part.items.offered.add(posed.item, "9 + 5", child: child)
    posed.part.items.offered.add(posed.item, "9 + 5", child: other)
    fill_beside
    sign_in teacher[0]
    get "/notes/#{room.id}/#{child.id}"
    send_form "/notes/#{room.id}/#{child.id}", opening: "#{name} counts on."
  end

  # What names a child beside the records: a week's sentence, files that came in or wait, and were made.
  def fill_beside
    of = { classroom_id: room.id, account_id: teacher[0].id }
    Records::Week.new(room, room.today).aim("#{name} and Bo can count on.", band: "to10", operation: "add")
    DB[:brought].insert(kind: "answers", name: "#{name} in spring.csv", at: Time.now, **of)
    Records::Upload.create(name: "Room 9.zip", at: Time.now, **of).put(name)
    %w[waiting ready].each { |state| Records::Job.ask("class_file", { holds: state }, **of).update(state: state) }
    Records::Job.first(state: "ready", **of).finish(name)
  end

  # Every row of every table, as text; files as they are.
  def everything(of = DB)
    of.tables.to_h do |table|
      files = of.schema(table).select { |_, column| column[:db_type] == "bytea" }.map(&:first)
      bytes = files.flat_map { |file| of[table].exclude(file => nil).select_map(file) }
      rows = of[table].select_map(Sequel.function(:to_jsonb, table).cast(:text))
      [table, rows + bytes.map { |each| each.to_s.dup.force_encoding("UTF-8").scrub }]
    end
  end

  # A database of its own, as a copy has it.
  # @yield [String] its address
  def database_beside
    owner = ENV.fetch("RUNGS_OWNER_URL") { ENV.fetch("DATABASE_URL") }
    name = "rungs_erased#{ENV.fetch('TEST_ENV_NUMBER', '')}"
    Sequel.connect(owner) do |db|
      ["DROP DATABASE IF EXISTS #{name}", "CREATE DATABASE #{name}"].each { |sql| db.run(sql) }
    end
    yield owner.sub(%r{/[^/]+\z}, "/#{name}"), owner
  ensure
    Sequel.connect(owner) { |db| db.run("DROP DATABASE IF EXISTS #{name} WITH (FORCE)") }
  end

  it "leaves neither the name nor the id of a child in any table or log, and everybody else’s as it was" do
    fill
    id = child.id
    expect(everything.values.join).to include(name)
    others = Records::Observation.where(child_id: other.id).count
    get "/account/classes/#{room.id}/children/#{id}/erase"
    expect(last_response.body).to include("1 record, 1 photo, 1 way given", "2 stories of this class name #{name}")
    send_form "/account/classes/#{room.id}/children/#{id}/delete", typed: name, stories: "true"
    traces = /#{name}|child(_id|ren)?": ?\[?#{id}\b/
    found = everything.select { |_, rows| rows.grep(traces).any? }
    # The bare number stays in one list, so that no copy brings the child back.
    expect([found.keys, DB[:erased].where(child_id: id).count]).to eq([[:erased], 1])
    expect([Records::Job, Records::Upload].map { |files| files.where(classroom_id: room.id).count }).to eq([0, 0])
    expect(DB[:pieces].where(classroom_id: room.id).count).to eq(0)
    expect(DB[:brought].where(classroom_id: room.id).get(:name)).to match(/\A\w+ in spring.csv\z/)
    lesson = room.lesson_on(room.today)
    expect([lesson.listening.to_a, lesson.groups.map(&:to_a), room.refresh.apart]).to eq([[], [[other.id]], []])
    expect(DB[:ways].select_map(%i[initials tally])).to include(["B", 2])
    expect(lesson.course.parts.map(&:note)).to include(/for Bo/)
    expect(Records::Observation.where(child_id: other.id).count).to eq(others)
    logs = Dir[File.join(Settings.var, "**/*.log")].select { |file| File.file?(file) && File.readable?(file) }
    expect(logs.map { |file| File.binread(file) }.join).not_to include(name)
  end

  it "leaves no name in any copy that is brought back: made by night, before tables changed, or sealed", :deep do
    fill
    Dir.mktmpdir do |folder|
      key = File.join(folder, "key")
      system("age-keygen", "-o", key, out: File::NULL, err: File::NULL)
      plain, sealed = [nil, File.read(key)[/age1\w+/]].map { |to| Backups::Sealed.new(recipient: to, identity: key) }
      database_beside do |aside, owner|
        made = [Copies.new(File.join(folder, "changes"), owner, sealed: plain).make(Database.latest),
                Backups.new(folder, owner, sealed: plain).make.file,
                Backups.new(folder, owner, sealed: sealed).make(now: Time.now + 60).file]
        described_class.new(child).call
        Backups::Beside.new(folder).add(erased: DB[:erased].select_map(%i[class_key child_id]), sequences: {})
        made.each do |file|
          Backups.new(folder, aside, sealed: sealed).go_back(file)
          Sequel.connect(aside) do |db|
            expect(everything(db).select { |_, rows| rows.any? { |row| row.include?(name) } }.keys).to eq([])
            expect(db[:children].where(classroom_id: room.id).select_order_map(:name)).to eq(%w[Bo Cleo])
          end
        end
      end
      # The pages of the database are its own, and written over by it.
      kept = Dir[File.join(Settings.var, "{[^p]*,p[^o]*}/**/*")].select do |file|
        File.file?(file) && File.readable?(file)
      end
      expect(kept.select { |file| File.binread(file).include?(name) }).to eq([])
    end
  end

  it "writes nothing that was typed into the server’s log, also where it is refused" do
    sign_in teacher[0]
    get "/account/classes/#{room.id}"
    log = StringIO.new
    post "/account/classes/#{room.id}/children", { names: name * 9, authenticity_token: token }, "rack.errors" => log
    expect([last_response.status, last_response.body]).to match([422, include("is longer than 40 characters")])
    expect([log.string, Pages::Shared::Base.dump_errors?]).to eq(["", false])
  end

  it "leaves stories as they are where that is wished" do
    posed = pose(room)
    posed.update(story: "Bo has 9 shells, Bobby has 5.")
    described_class.new(other).call(stories: false)
    expect(posed.refresh.story).to start_with("Bo has")
    room.children_dataset.first(name: "Cleo").then { |cleo| described_class.new(cleo).call }
    expect(posed.refresh.story).to include("Bobby")
  end
end
