# frozen_string_literal: true

require "app_helper"

# A copy is here a schema of its own, with the two tables that are read.
RSpec.describe Records::Standby do
  let(:room) { make_teacher[1] }
  let(:schema) { "beside_#{SecureRandom.hex(4)}" }
  let(:owner) { Sequel.connect(ENV.fetch("RUNGS_OWNER_URL"), max_connections: 1) }

  # @param how [Hash] how the copy is reached
  def with_copy(**how)
    role = DB.opts[:user]
    owner.run("CREATE SCHEMA #{schema} AUTHORIZATION CURRENT_USER; GRANT USAGE ON SCHEMA #{schema} TO #{role}")
    catch_up
    beside = { search_path: "#{schema}, public", **how }
    stub_const("DB", Sequel.connect(ENV.fetch("DATABASE_URL"), servers: { standby: beside }))
    DB.extension :server_block
    described_class.instance_variable_set(:@away_until, nil)
  end

  # As it is now.
  def catch_up
    %w[children class_writes].each do |table|
      owner.run("DROP TABLE IF EXISTS #{schema}.#{table}; CREATE TABLE #{schema}.#{table} AS TABLE public.#{table}; " \
                "GRANT SELECT ON #{schema}.#{table} TO #{DB.opts[:user]}")
    end
  end

  def read = described_class.read(room) { |from| [from, DB[:children].where(classroom_id: room.id).count] }

  after do
    DB.disconnect if DB.sharded?
    owner.run("DROP SCHEMA IF EXISTS #{schema} CASCADE")
    owner.disconnect
  end

  it "reads the database itself where there is no copy" do
    expect([read, described_class.behind]).to eq([["primary", 5], nil])
  end

  it "reads a copy that has everything, and never one that lacks what was written last" do
    room
    with_copy
    expect([read, described_class.behind]).to eq([["standby", 5], 0.0])
    Records::Child.enrol(room, %w[Fee])
    expect(read).to eq(["primary", 6])
    catch_up
    expect(read).to eq(["standby", 6])
  end

  it "writes where it always does" do
    room
    with_copy
    described_class.read(room) { DB[:children].where(classroom_id: room.id).update(seat: 3) }
    expect(owner[:children].where(classroom_id: room.id, seat: 3).count).to eq(5)
    expect(read.first).to eq("primary")
  end

  it "reads the database itself while the copy is away, and asks again after a while only" do
    room
    with_copy(port: 1)
    expect(described_class.behind).to be_nil
    expect(read).to eq(["primary", 5])
    allow(DB).to receive(:synchronize).and_call_original
    read
    expect(DB).not_to have_received(:synchronize).with(:standby)
    allow(described_class).to receive(:now).and_wrap_original { |now| now.call + described_class::AWAY }
    read
    expect(DB).to have_received(:synchronize).with(:standby)
  end

  it "begins again where the copy goes away meanwhile" do
    room
    with_copy
    seen = described_class.read(room) do |from|
      owner.run("DROP TABLE #{schema}.children") if from == "standby"
      DB[Sequel[from == "standby" ? schema.to_sym : :public][:children]].where(classroom_id: room.id).count
    end
    expect(seen).to eq(5)
  end

  # A class with something of everything in it.
  it "counts a write to any table of a class, once it is so, and nothing else" do
    number = ->(id) { DB[:class_writes].where(classroom_id: id).sum(:number) }
    other, before = make_teacher[1], number.call(room.id)
    others = number.call(other.id)
    DB.transaction(rollback: :always) { room.update(name: "Another") }
    expect(number.call(room.id)).to eq(before)
    room.update(name: "Another")
    posed = pose(room)
    Records::Recorder.new(room, room.memberships.first.account_id)
                     .record(child: room.children.first, problem: posed, code: "count_on", happened_at: Time.now,
                             client_key: SecureRandom.uuid)
    expect(number.call(room.id)).to be > before + 2
    expect(number.call(other.id)).to eq(others)
  end

  it "keeps the sum where it puts rows together, and what is written meanwhile" do
    sums = lambda do
      DB[:class_writes].group(:classroom_id).select_hash(:classroom_id, Sequel.function(:sum, :number).as(:sum))
    end
    room.update(name: "Another")
    before, rows = sums.call, DB[:class_writes].where(classroom_id: room.id).count
    Sequel.connect(ENV.fetch("DATABASE_URL")) do |other|
      other.transaction do
        other[:classrooms].where(id: room.id).update(name: "A third")
        described_class.tidy
      end
    end
    expect([rows, sums.call]).to match([be > 1, before.merge(room.id => before[room.id] + 1)])
    described_class.tidy
    expect(DB[:class_writes].where(classroom_id: room.id).count).to eq(1)
  end

  it "has a count for every table that is of a class" do
    triggers = DB[:pg_trigger].where(Sequel.like(:tgname, "%_insert"))
    counted = triggers.select_map(Sequel.lit("tgrelid::regclass::text"))
    expect(Exchange::Archive::Lists::ALL.map { |list| list.name.to_s } - counted).to eq([])
  end
end
