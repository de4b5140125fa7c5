# frozen_string_literal: true

require "app_helper"

# What a class had before the tables changed is there after. Each runs in a schema of its own that is taken back.
RSpec.describe "The tables’ history" do
  def to(version)
    Sequel::Migrator.run(db, Database::MIGRATIONS, target: version, table: Sequel[:before][:schema_info],
                                                   allow_missing_migration_files: true)
  end

  attr_reader :db

  around do |example|
    Sequel.extension :migration
    Database.as_owner do |owner|
      @db = owner
      owner.transaction(rollback: :always) do
        owner.run("CREATE SCHEMA before; SET LOCAL search_path TO before, public")
        example.run
      end
    end
  end

  let(:room) { db[:classrooms].insert(name: "Room 2", time_zone: "UTC") }
  let(:lesson) { db[:lessons].insert(classroom_id: room, held_on: Date.new(2026, 10, 5), board: Sequel.pg_jsonb({})) }

  def part(kind, details, place: 1)
    db[:lesson_parts].insert(classroom_id: room, lesson_id: lesson, place: place, kind: kind, minutes: 5,
                             details: Sequel.pg_jsonb(details))
  end

  def problem(part, story, minute, **more)
    db[:problems].insert(classroom_id: room, lesson_id: lesson, part_id: part, situation: "add_to.result",
                         equation: "3 + 2 = □", unknown: "whole", parts: Sequel.pg_array([3, 2], :integer),
                         affords: Sequel.pg_array([1, 2], :integer), operation: "add", band: "to5", story: story,
                         posed_at: Time.utc(2026, 10, 5, 9, minute), **more)
  end

  def details(part) = db[:lesson_parts].first(id: part)[:details].to_h
  def thrown(part) = details(part)["thrown"].to_h.transform_values(&:to_h)

  def kept(name) = JSON.parse(File.read(File.expand_path("../fixtures/#{name}.json", __dir__)))

  it "call nothing of the core or of the records, which change" do
    calling = Dir[File.join(Database::MIGRATIONS, "*.rb")].select do |file|
      File.readlines(file).any? { |line| line.match?(/\A[^#]*(Rungs|Records)::|\A\s*require/) }
    end
    expect(calling).to eq([])
  end

  # As the core of then said it, which is kept in a file.
  it "says of each problem what the moves of then afforded", :deep do
    to(12)
    cases = kept("affords")
    ids = cases.map do |situation, parts, unknown, equation, _|
      db[:problems].insert(classroom_id: room, lesson_id: lesson, situation: situation, equation: equation,
                           unknown: unknown, parts: Sequel.pg_array(parts, :integer), operation: "add", band: "to20",
                           affords: Sequel.pg_array([], :integer), story: "", posed_at: Time.utc(2026, 10, 5))
    end
    to(13)
    said = db[:problems].where(id: ids).to_hash(:id, :affords)
    wrong = ids.zip(cases).reject { |id, each| said[id].to_a == each.last }
    expect([cases.size, wrong]).to match([be > 300, []])
  end

  it "keeps what each story of then was of", :deep do
    to(17)
    things = kept("story_things")
    begun = part("story", {})
    things.each_key.with_index { |template, index| problem(begun, "3 and 2.", index % 60, template: template) }
    problem(begun, "3 and 2.", 59, template: nil)
    to(18)
    found = thrown(begun).values.map { |data| [data["template"], data["things"].to_a.join(", ")] }
    expect(found).to contain_exactly(*things.to_a, [nil, "counter"])
  end

  it "keeps quick looks as they lay, with the ways children saw them" do
    to(14)
    planned = part("quick_looks", { "to" => 7, "seconds" => 3 })
    looked = part("quick_looks", {}, place: 2)
    look = { classroom_id: room, lesson_id: lesson, arrangement: "die", seed: 5, seconds: 2 }
    ids = [6, 4].map { |number| db[:looks].insert(**look, part_id: looked, number: number) }
    loose = db[:looks].insert(**look, number: 12)
    db[:look_ways].insert(classroom_id: room, look_id: ids[1], text: "2 + 2", groups: Sequel.pg_jsonb([[1, 2], [3, 4]]),
                          tally: 3, initials: "AB")
    db[:showings].insert(classroom_id: room, look_id: loose, shown_at: Time.now)
    to(15)
    expect(details(planned)["options"]).to eq({ "to" => 10, "seconds" => 3 })
    expect(thrown(looked).values.map { |data| data["number"] }).to eq([6, 4])
    expect(db[:ways].first(part_id: looked)).to include(item: 1, text: "2 + 2", tally: 3, initials: "AB")
    own = db[:lesson_parts].order(:id).last
    expect([own[:kind], own[:place], db[:showings].get(:part_id)]).to eq(["quick_look", 3, own[:id]])
  end

  it "keeps a string’s problems in order, each as an item" do
    to(15)
    string = part("string", { "move" => "on_first", "equations" => ["3 + 2 = □", "4 + 2 = □"] })
    problem(string, "", 1)
    second = problem(string, "", 2)
    to(16)
    expect(details(string)["options"]).to eq({ "move" => "on_first" })
    expect(thrown(string).values.map { |data| data["place"] }).to eq([0, 1])
    expect(db[:problems].first(id: second)[:item]).to eq(1)
  end

  it "makes stories, sharing, practice and what was posed outside any part activities, and loses no words" do
    to(17)
    told = { "situation" => "take_from.result", "numbers" => [9, 4], "story" => "Nine sail, 4 come in." }
    ready = part("story", { "problems" => [told] })
    begun = part("story", { "problems" => [told] }, place: 2)
    harder = problem(begun, "3 crabs and 2.", 2, number_set: "harder")
    problem(begun, "3 boats and 2.", 1, number_set: "middle")
    share = part("share", {}, place: 3)
    facts = part("practice", { "equations" => ["8 + 5 = □", "9 − 4 = □"], "words" => "in pairs" }, place: 4)
    bare = part("practice", { "equations" => ["8 + □ = 12"] }, place: 5)
    loose = problem(nil, "3 gulls and 2.", 5)
    to(18)
    expect(db[:lesson_parts].where(id: [ready, begun, share, facts, bare]).select_order_map(:kind))
      .to eq(%w[by_heart story_time story_time story_time whose_way])
    expect(thrown(ready)["0"]).to include("parts" => [4, 5], "words" => "Nine sail, 4 come in.")
    expect(thrown(begun).values.map { |data| data["words"] }).to eq(["3 boats and 2.", "3 crabs and 2."])
    expect(db[:problems].first(id: harder)[:item]).to eq(1)
    expect([thrown(facts).values.map do |data|
      data["fact"]
    end, details(facts)["note"]]).to eq([["8 + 5", "9 − 4"], "in pairs"])
    expect([thrown(bare)["0"],
            details(share)]).to match([{ "equation" => "8 + □ = 12", "words" => "" }, include("seed")])
    own = db[:lesson_parts].order(:id).last
    expect(db[:problems].first(id: loose)).to include(part_id: own[:id], item: 0)
    expect(db[:part_runs].where(part_id: own[:id]).get(:ended_at)).not_to be_nil
  end

  it "makes items of what it kept" do
    to(17)
    parts = [part("story", {}), part("practice", { "equations" => ["8 + □ = 12"] }), part("practice", {}),
             part("share", {})]
    problem(parts[0], "3 boats and 2.", 1)
    to(18)
    parts.each do |id|
      kind, details = db[:lesson_parts].where(id: id).get(%i[kind details])
      activity = Rungs::Activity::ALL.fetch(kind).with
      data = details["thrown"].to_h.values.map { |each| each.to_h.transform_keys(&:to_sym) }
      expect(data.map { |each| activity.item(each).steps.size }).to all(be > 2)
    end
  end

  it "lets the last of two problems posed for one item stand for it" do
    to(22)
    story = part("story_time", {})
    twice = Array.new(2) { |minute| problem(story, "3 boats and 2.", minute, item: 0) }
    once = problem(story, "3 gulls and 2.", 3, item: 1)
    loose = problem(nil, "3 crabs and 2.", 4)
    to(23)
    expect(db[:problems].where(id: [*twice, once, loose]).select_order_map(%i[id item]))
      .to eq([[twice[0], nil], [twice[1], 0], [once, 1], [loose, nil]])
  end
end
