# frozen_string_literal: true

require "app_helper"

# Whatever happens in whatever order, what is carried on is what all records together say.
RSpec.describe Records::Ledger do
  let(:people) { make_teacher(children: %w[Ada Bo]) }
  let(:room) { people[1] }
  let(:recorder) { Records::Recorder.new(room, people[0]) }
  let(:problems) do
    [[9, 5], [3, 3], [4, 5], [8, 7], [6, 4], [2, 3]].map do |numbers|
      pose(room, numbers)
    end + [pose(room, [13, 9], situation: "take_from.result")]
  end
  let(:now) { Time.at(Time.now.to_i) }

  def kept
    %i[standings standing_days facts tallies].map do |table|
      DB[table].where(classroom_id: room.id).order(:child_id).all.sort_by(&:to_s)
    end
  end

  def carried_and_made_anew
    carried = kept
    described_class.new(room).rebuild
    [carried, kept]
  end

  def act(random, keys)
    case random.rand(10)
    when 0 then keys.any? && recorder.undo(keys.sample(random: random), client_key: SecureRandom.uuid)
    when 1 then keys.any? && recorder.correct(keys.sample(random: random), client_key: SecureRandom.uuid,
                                                                           code: %w[count_all make_ten guess]
                                                                                 .sample(random: random))
    when 2 then keys.any? && recorder.correct(keys.sample(random: random), client_key: SecureRandom.uuid,
                                                                           used: %w[fingers])
    else
      # Some arrive late, some at one time, some off the ladder.
      keys << SecureRandom.uuid
      recorder.record(child: room.children.sample(random: random), problem: problems.sample(random: random),
                      code: %w[count_all count_on part_whole make_ten known_fact no_answer].sample(random: random),
                      client_key: keys.last, happened_at: now - (random.rand(30) * 43_200),
                      help: %w[alone prompted shown].sample(random: random), answer: [nil, 13,
                                                                                      7].sample(random: random))
    end
  end

  it "says the same carried on as made from scratch, for random histories arriving in random orders" do
    [11, 12, 13].each do |seed|
      random, keys = Random.new(seed), []
      60.times { act(random, keys) }
      carried, anew = carried_and_made_anew
      expect(carried).to eq(anew)
      expect(carried[0].size).to be > 8
    end
  end

  it "changes one child's rows and no other's" do
    room.children.each do |child|
      recorder.record(child: child, problem: problems[0], code: "count_on", client_key: SecureRandom.uuid,
                      happened_at: now)
    end
    rows = lambda { |child|
      DB[:standings].where(child_id: child.id).order(:scope).select_map([:scope, Sequel.lit("xmin::text").as(:written)])
    }
    own, others = room.children.first(2).map(&rows)
    recorder.record(child: room.children[0], problem: problems[0], code: "make_ten", client_key: SecureRandom.uuid,
                    happened_at: now + 1)
    expect(rows.call(room.children[1])).to eq(others)
    expect(rows.call(room.children[0])).not_to eq(own)
  end

  it "is the core's own estimate, of a band and of a family, on the day and before" do
    child = room.children.first
    6.times do |day|
      recorder.record(child: child, problem: problems[day % 2 * 3], code: day < 3 ? "count_on" : "make_ten",
                      client_key: SecureRandom.uuid, happened_at: now - ((10 - day) * 86_400))
    end
    evidence = Records::Evidence.new(room)
    records = evidence.heard_of(child, "add", "bridge").map(&:record)
    [room.today, room.today - 7].each do |day|
      told = Rungs::Progress::Estimate.of(records, on: day, scope: Rungs::Progress::Scope.of("add", "bridge"))
      kept = evidence.estimate(child, "add", "bridge", on: day)
      said = %i[working works_out confidence secure? emerging knowing reason]
      expect(said.map { |name| kept.public_send(name) }).to eq(said.map { |name| told.public_send(name) })
      glance = evidence.glance(child, "add", "bridge", on: day)
      short = said - %i[reason]
      expect(short.map { |name| glance.public_send(name) }).to eq(short.map { |name| told.public_send(name) })
      expect(evidence.estimate_on(child, "add", "bridge", day).works_out).to eq(told.works_out)
    end
    expect(evidence.movement(child, "add", "bridge", from: room.today - 8, to: room.today)).to eq(1)
    family = Records::Scope.family("near_double")
    expect(evidence.estimate(child, "add", family, on: room.today).filter.heard).to eq(3)
  end

  it "tells what was learnt between two days: facts that are known now, and once the range" do
    child, facts = room.children.first, Rungs::Problem::Band::ALL.fetch("to10").telling_facts.first(8)
    facts.each_with_index do |fact, at|
      recorder.record(child: child, problem: pose(room, fact.reverse), code: "known_fact",
                      client_key: SecureRandom.uuid, happened_at: now - ((at < 3 ? 9 : 1) * 86_400))
    end
    evidence = Records::Evidence.new(room)
    learnt = ->(days) { evidence.learnt(child, "add", "to10", from: room.today - days, to: room.today).to_a }
    expect([learnt[5], learnt[20], learnt[0]]).to eq([[5, true], [8, true], [0, false]])
    expect(evidence.movement(child, "add", "to10", from: room.today - 20, to: room.today)).to eq(0)
    expect(evidence.known("add", facts.first)).to eq(child.id => true)
  end

  it "goes on where two record the same child at once" do
    child = room.children.first
    threads = Array.new(4) do |turn|
      Thread.new do
        5.times do |time|
          recorder.record(child: child, problem: problems[0], code: "count_on", client_key: SecureRandom.uuid,
                          happened_at: now + (turn * 5) + time)
        end
      end
    end
    threads.each(&:join)
    carried, anew = carried_and_made_anew
    expect(carried).to eq(anew)
    expect(carried[0].map { |row| row[:shown].to_a.sum }.uniq).to eq([20])
  end

  it "carries on what a server of the version before took down, once, and says how far it is" do
    tap = ->(seconds) { { client_key: SecureRandom.uuid, happened_at: now + seconds } }
    recorder.record(child: room.children.first, problem: problems[0], code: "count_on", **tap[0])
    before = Records::Recorder.new(room, people[0], carry: false)
    before.record(child: room.children.first, problem: problems[3], code: "make_ten", **tap[1])
    before.record(child: room.children.last, problem: problems[1], code: "known_fact", **tap[2])
    DB[:carried_up_to].update(observation_id: Records::Observation.where(classroom_id: room.id).min(:id) - 1)
    told = []
    described_class.catch_up { |done, of| told << [done, of] }
    carried, anew = carried_and_made_anew
    expect([carried, told]).to eq([anew, [[1, 1]]])
    expect { described_class.catch_up { raise "twice" } }.not_to raise_error
  end

  it "is what all records say after answers came in by a file, were taken back, and a child was erased" do
    recorder.record(child: room.children.first, problem: problems[0], code: "count_on", client_key: SecureRandom.uuid,
                    happened_at: now)
    lines = ["Ada,2026-11-20,5 + 4 = ?,known_fact", "Ada,2026-11-10,4 + 5 = ?,2", "Cy,2026-11-20,9 + 6 = ?,make_ten"]
    file = Tempfile.new(["last year", ".csv"]).tap do |made|
      made.write("child,date,equation,rung\n#{lines.join("\n")}\n")
    end
    table = Exchange::AnswerTable.new(file.tap(&:close).path, today: room.today)
    Exchange::BringAnswers.new(room, table, adding: true).call(people[0], name: "last year.csv")
    expect(DB[:facts].where(classroom_id: room.id).select_map(%i[first second known]))
      .to contain_exactly([5, 9, false], [4, 5, true], [6, 9, false])
    expect(carried_and_made_anew.uniq.size).to eq(1)
    Exchange::TakeBack.new(Records::Brought.where(classroom_id: room.id).first).call
    expect([carried_and_made_anew.uniq.size, DB[:facts].where(classroom_id: room.id).count]).to eq([1, 1])
    Records::Erasing.new(room.children.first).call
    expect(kept).to all(be_empty)
  end

  it "leaves nothing of a child whose records are gone" do
    recorder.record(child: room.children.first, problem: problems[0], code: "known_fact", client_key: SecureRandom.uuid,
                    happened_at: now)
    room.observations_dataset.delete
    described_class.new(room).rebuild
    expect(kept).to all(be_empty)
  end
end

RSpec.describe Records::Packed do
  it "gives back every record it holds" do
    records = [[1, 1], [0, 100], [50, 50], [9, 9, 9], [1, 2, 97]].product((1..5).to_a, [true, false],
                                                                          %w[alone prompted shown], [[1, 2],
                                                                                                     [1, 2, 3, 4, 5]])
    records.each_with_index do |(fact, rung, right, help, affords), index|
      exact = [nil, fact, [fact.sum, fact[0]], [fact.sum, fact[1]]][fact.size == 3 || fact.uniq.one? ? 0 : index % 4]
      record = Rungs::Progress::Record.new(day: Date.new(2026, 1, 1) + index, rung: rung, affords: affords, fact: fact,
                                           right: right, help: help, exact: exact, tells: index.even?)
      sealed = Records::Packed::Sealed.new(described_class.pack(record))
      expect([sealed.day, sealed.worked_out?, sealed.tells]).to eq([record.day, rung < 5, index.even?])
      expect(described_class.unpack(described_class.pack(record))).to eq(record)
      expect(described_class.pack(record)).to be < 2**63
    end
  end
end
