# frozen_string_literal: true

require "app_helper"

RSpec.describe Records::Recorder do
  let(:people) { make_teacher }
  let(:classroom) { people[1] }
  let(:recorder) { described_class.new(classroom, people[0]) }
  let(:posed) { pose(classroom) }
  let(:child) { classroom.children.first }
  let(:key) { SecureRandom.uuid }

  def record(key: SecureRandom.uuid, code: "count_on", **details)
    recorder.record(child: child, problem: posed, code: code, client_key: key, happened_at: Time.now, **details)
  end

  it "keeps a record posted twice with the same key once" do
    first = record(key: key)
    again = record(key: key, code: "make_ten")
    expect(again.id).to eq(first.id)
    expect(classroom.observations_dataset.count).to eq(1)
  end

  it "loses nothing when many record at once" do
    keys = Array.new(40) { SecureRandom.uuid }
    keys.each_slice(10).map { |some| Thread.new { (some + some).each { |each| record(key: each) } } }.each(&:join)
    expect(classroom.observations_dataset.select_map(:client_key)).to match_array(keys)
  end

  it "corrects by a new version and keeps the old one" do
    record(key: key)
    corrected = recorder.correct(key, client_key: SecureRandom.uuid, code: "make_ten", help: "prompted")
    expect(corrected.values).to include(code: "make_ten", rung: 4, help: "prompted", happened_at: be_a(Time))
    expect(classroom.observations_dataset.count).to eq(2)
    expect(classroom.observations_dataset.standing.all.map(&:code)).to eq(["make_ten"])
  end

  it "keeps both of two corrections made at once" do
    record(key: key)
    changes = [{ help: "shown" }, { used: %w[fingers] }, { answer: 13 }]
    changes.map { |change| Thread.new { recorder.correct(key, client_key: SecureRandom.uuid, **change) } }.each(&:join)
    expect(classroom.observations_dataset.standing.first.values).to include(help: "shown", used: ["fingers"],
                                                                            answer: 13, right: false)
  end

  it "carries out a correction sent twice once" do
    record(key: key)
    change = SecureRandom.uuid
    2.times { recorder.correct(key, client_key: change, help: "shown") }
    expect(classroom.observations_dataset.count).to eq(2)
  end

  it "takes an answer as right until a wrong one is tapped in" do
    expect(record.right).to be(true)
    expect(record(answer: 13).right).to be(false)
    expect(record(answer: 14).right).to be(true)
    record(key: key, answer: 13)
    expect(recorder.correct(key, client_key: SecureRandom.uuid, answer: nil).right).to be(true)
    expect(recorder.correct(key, client_key: SecureRandom.uuid, right: false).right).to be(false)
  end

  it "undoes without deleting, once, and refuses what was never there" do
    record(key: key)
    2.times { recorder.undo(key, client_key: SecureRandom.uuid) }
    expect(classroom.observations_dataset.standing.count).to eq(0)
    expect(classroom.observations_dataset.count).to eq(2)
    expect { recorder.undo(SecureRandom.uuid, client_key: SecureRandom.uuid) }.to raise_error(Records::Gone)
    _, other = make_teacher
    expect do
      described_class.new(other, nil).undo(key, client_key: SecureRandom.uuid)
    end.to raise_error(Records::Gone)
  end

  it "cannot be changed in place, not even by the database, and never points into another class" do
    row = record
    expect do
      DB[:observations].where(id: row.id).update(code: "guess")
    end.to raise_error(Sequel::DatabaseError, /never changed/)
    other_child = make_teacher[1].children.first
    expect do
      recorder.record(child: other_child, problem: posed, code: "guess", client_key: key,
                      happened_at: Time.now)
    end.to raise_error(Sequel::ForeignKeyConstraintViolation)
  end

  it "is evidence in the order it happened, whenever it arrived" do
    days = [3, 1, 2].map { |ago| Time.now - (ago * 86_400) }
    days.zip(%w[count_all make_ten count_on]) do |at, code|
      recorder.record(child: child, problem: posed, code: code, client_key: SecureRandom.uuid, happened_at: at)
    end
    heard = Records::Evidence.new(classroom).heard_of(child, "add", "bridge")
    expect(heard.map { |each| each.record.rung }).to eq([1, 2, 4])
    expect(heard.first.record).to have_attributes(fact: [5, 9], affords: [1, 2, 3, 4, 5], help: "alone", right: true)
  end
end

RSpec.describe Demo::Simulation do
  # A class of its own: journeys teach in the demo class.
  def simulate
    _, room = make_teacher(children: [])
    described_class.new(room, nil, until_day: Date.today).run
    room
  end

  let(:classroom) { simulate }

  it "makes a class of 22 with about 900 records over eight weeks, none in the future", :deep do
    expect(classroom.children_dataset.count).to eq(22)
    expect(classroom.observations_dataset.where(replaces_id: nil).count).to be_between(800, 1000)
    days = classroom.lessons_dataset.select_map(:held_on)
    expect(days.max).to be < Date.today
    expect(Date.today - days.min).to be_between(50, 56)
  end

  it "has a quiet child hardly ever heard, slips, prompted answers and one who slid back", :deep do
    evidence = Records::Evidence.new(classroom)
    heard = evidence.counts.to_h { |id, count| [Records::Child[id].name, count] }
    expect(heard.fetch(described_class::QUIET, 0)).to be_between(1, heard.values.sum / 22 / 3)
    expect(classroom.observations_dataset.where(right: false).count).to be_between(40, 150)
    expect(classroom.observations_dataset.exclude(help: "alone").count).to be_between(80, 260)
    expect(Records::ListeningList.new(classroom, evidence,
                                      %w[add to10]).on(classroom.today).first.name).to eq(described_class::QUIET)
  end

  it "is the same for the same seed and day", :deep do
    codes = [classroom, simulate].map { |room| room.observations_dataset.order(:happened_at, :id).select_map(:code) }
    expect(codes[0]).to eq(codes[1])
  end
end
