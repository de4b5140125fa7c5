# frozen_string_literal: true

require "app_helper"
require_relative "../../config/backups"
require_relative "../../config/in_use"
require_relative "../../config/updates"

RSpec.describe Copies do
  let(:folder) { Dir.mktmpdir }
  let(:owner) { ENV.fetch("RUNGS_OWNER_URL") { ENV.fetch("DATABASE_URL") } }
  let(:copies) { described_class.new(folder, aside) }
  # A database of its own, for this spec.
  let(:aside) { owner.sub(%r{/[^/]+\z}, "/rungs_copied#{ENV.fetch('TEST_ENV_NUMBER', '')}") }

  def run(url, sql) = Sequel.connect(url) { |db| db[sql].all }

  around do |example|
    name = aside[%r{[^/]+\z}]
    Sequel.connect(owner) do |db|
      [%(DROP DATABASE IF EXISTS #{name}), "CREATE DATABASE #{name}"].each do |sql|
        db.run(sql)
      end
    end
    example.run
    Sequel.connect(owner) { |db| db.run("DROP DATABASE #{name}") }
    FileUtils.rm_rf(folder)
  end

  it "keeps them as long as the daily ones, for their owner only, and puts everything back" do
    Sequel.connect(aside) { |db| db.run("CREATE TABLE lanterns AS SELECT 7 AS lit") }
    files = (1..4).map { |step| copies.make(step, now: Time.now + step) }
    expect([copies.all, File.stat(files.last).mode & 0o777]).to eq([files, 0o600])
    Sequel.connect(aside) { |db| db.run("UPDATE lanterns SET lit = 8; CREATE TABLE later (id int)") }
    copies.go_back(files.last)
    expect(run(aside, "SELECT lit FROM lanterns")).to eq([{ lit: 7 }])
    expect(run(aside, "SELECT to_regclass('later') AS later")).to eq([{ later: nil }])
    copies.go_back(copies.make(5, now: Time.now + 9))
    expect(run(aside, "SELECT lit FROM lanterns")).to eq([{ lit: 7 }])
    later = copies.make(6, now: Time.now + (40 * 86_400))
    expect(copies.all.sort).to eq([files.first, later])
    expect { copies.go_back("#{folder}/none.dump") }.to raise_error(Copies::Failure, /no copy/)
    expect do
      described_class.new(folder, aside.sub(/copied.*/, "nowhere")).make(1)
    end.to raise_error(Copies::Failure, /pg_dump/)
  end

  it "is not needed where a newer version has changed the tables: that is said in a sentence" do
    expect { Database.migrate }.not_to raise_error
    Database.as_owner do |db|
      step = db[:schema_info].get(:version)
      db[:schema_info].update(version: step + 2)
      expect do
        Database.migrate
      end.to raise_error(Database::Newer, /at step #{step + 2} and this version of Rungs knows #{step}/)
    ensure
      db[:schema_info].update(version: step)
    end
  end

  it "is told of beside Debian's security updates, where it knows of some" do
    said = "Inst libpq5 [15.1] (15.2 Debian-Security:12/stable-security [amd64])\n" \
           "Inst tzdata [1] (2 Debian:12.1 [all])\n"
    expect(Updates.sentence(said)).to eq("Debian has security updates for this machine (libpq5): apt-get upgrade " \
                                         "puts them in.")
    many = (1..7).map { |number| said.lines.first.sub("libpq5", "lib#{number}") }.join
    expect(Updates.sentence(many)).to include("lib1, lib2, lib3, lib4, lib5 and 2 more")
    [nil, "", said.lines.last].each { |none| expect(Updates.sentence(none.to_s)).to be_nil }
  end
end

RSpec.describe Backups do
  let(:folder) { Dir.mktmpdir }
  let(:owner) { ENV.fetch("RUNGS_OWNER_URL") { ENV.fetch("DATABASE_URL") } }
  # A database of its own, for this spec.
  let(:name) { "rungs_backed_up#{ENV.fetch('TEST_ENV_NUMBER', '')}" }
  let(:aside) { owner.sub(%r{/[^/]+\z}, "/#{name}") }
  let(:backups) { described_class.new(folder, aside, sealed: Backups::Sealed.new(recipient: nil)) }

  around do |example|
    Sequel.connect(owner) do |db|
      ["DROP DATABASE IF EXISTS #{name}", "CREATE DATABASE #{name}"].each { |sql| db.run(sql) }
    end
    there do |db|
      db.run("CREATE TABLE schema_info (version int); INSERT INTO schema_info VALUES (31)")
      db.run("CREATE TABLE erased (child_id bigint PRIMARY KEY, class_key uuid, at timestamptz)")
      db.run("CREATE TABLE lanterns (id serial PRIMARY KEY, lit int); INSERT INTO lanterns (lit) VALUES (7), (8)")
    end
    example.run
    Sequel.connect(owner) { |db| db.run("DROP DATABASE #{name} WITH (FORCE)") }
    FileUtils.rm_rf(folder)
  end

  def there(&block) = Sequel.connect(aside, &block)
  def lit = there { |db| db[:lanterns].order(:id).select_map(:lit) }

  it "is tried by restoring it, counted, readable for its owner only, and brought back with what was there kept",
     :deep do
    made = backups.make
    expect([made.counted, File.stat(made.file).mode & 0o777, backups.check(made.file)]).to eq([3, 0o600, 3])
    key = SecureRandom.uuid
    there { |db| db[:lanterns].insert(lit: 9) && db[:erased].insert(child_id: 5, class_key: key, at: Time.now) }
    kept = backups.restore(made.file, newest: 31)
    backups.raise_sequences
    expect([lit, backups.erased, File.size?(kept).positive?]).to eq([[7, 8], [[key, 5]], true])
    expect(there { |db| db[:lanterns].insert(lit: 1) }).to eq(4)
    expect { backups.restore(made.file, newest: 30) }.to raise_error(described_class::Failure, /newer version/)
    expect { backups.check("#{folder}/none") }.to raise_error(described_class::Failure, /no copy/)
    expect(there { |db| db[:pg_database].where(Sequel.like(:datname, "rungs_trial%")).count }).to eq(0)
  end

  it "is not called good where the trial finds fewer rows, and nothing of it stays" do
    allow(backups).to receive(:counted).and_wrap_original do |counted, db|
      counted.call(db).tap { |counts| counts[:lanterns] += 1 if db.opts[:database] == name }
    end
    expect { backups.make }.to raise_error(described_class::Failure, /lanterns has 2 of 3 rows/)
    expect(backups.all).to eq([])
  end

  it "says before it is made that the disk has no room for it" do
    allow(backups).to receive(:room).and_return([500, 80])
    expect { backups.make }.to raise_error(described_class::Failure, /500 MB free.* about 680 MB/)
  end

  it "keeps the last fourteen days, one of each of eight weeks and of twelve months" do
    days = (0..500).map { |back| Date.new(2026, 11, 29) - back }
    days.each { |day| File.write(File.join(folder, "rungs-#{day.iso8601}-020000.dump"), "") }
    backups.send(:let_go, Time.utc(2026, 11, 29, 3))
    left = backups.all.map { |file| Date.iso8601(File.basename(file)[6, 10]) }
    mondays = (0..7).map { |back| Date.new(2026, 11, 23) - (7 * back) }
    firsts = (0..11).map { |back| Date.new(2026, 11, 1) << back }
    expect(left).to match_array(days.first(14) | mondays | firsts)
  end

  it "adds to what lies beside the copies what came with one from elsewhere" do
    other = Dir.mktmpdir
    keys = %w[a b].map { SecureRandom.uuid }
    described_class::Beside.new(other).add(erased: [[keys[0], 7]], sequences: { "x" => 9, "y" => 1 })
    here = described_class::Beside.new(folder)
    here.add(erased: [[keys[1], 7]], sequences: { "x" => 4, "y" => 2 })
    here.merge(described_class::Beside.new(other))
    expect([here.erased.sort, here.sequences]).to eq([[[keys[0], 7], [keys[1], 7]].sort, { "x" => 9, "y" => 2 }])
    FileUtils.rm_rf(other)
  end

  it "is encrypted to a recipient, after its trial, and read with the key alone" do
    key = File.join(folder, "key")
    system("age-keygen", "-o", key, out: File::NULL, err: File::NULL)
    recipient = File.read(key)[/age1\w+/]
    with = lambda { |identity|
      described_class.new(folder, aside, sealed: Backups::Sealed.new(recipient: recipient, identity: identity))
    }
    sealed = with.call(key)
    made = sealed.make
    expect(File.binread(made.file)).to start_with("age-encryption")
    expect(sealed.check(made.file)).to eq(3)
    expect { with.call(nil).check(made.file) }.to raise_error(described_class::Failure, /encrypted/)
    other = File.join(folder, "other")
    system("age-keygen", "-o", other, out: File::NULL, err: File::NULL)
    expect { with.call(other).check(made.file) }.to raise_error(described_class::Failure, /is not the key of that copy/)
    sealed.restore(made.file, newest: 31)
    expect(Dir[File.join(folder, "**/*.dump")]).to eq([])
    expect(Dir[File.join(folder, "before-restore/*.age")].size).to eq(1)
  end

  it "erases again who was erased since, going back to tables of any step, by key and number, name and all" do
    keys = Array.new(2) { SecureRandom.uuid }
    there do |db|
      db.run(<<~SQL)
        CREATE TABLE classrooms (id int PRIMARY KEY, key uuid);
        CREATE TABLE children (id int PRIMARY KEY, classroom_id int, name text);
        CREATE TABLE problems (classroom_id int, story text, details jsonb);
      SQL
      keys.each.with_index(1) { |key, id| db[:classrooms].insert(id: id, key: key) }
      db[:children].multi_insert([{ id: 5, classroom_id: 1, name: "Ada" }, { id: 6, classroom_id: 2, name: "Bo" }])
      db[:problems].insert(classroom_id: 1, story: "Ada has 3, Adam 2.", details: '{"for": "Ada"}')
      db[:problems].insert(classroom_id: 2, story: "Ada has 3.", details: "{}")
    end
    made = Copies.new(folder, aside, sealed: Backups::Sealed.new(recipient: nil)).make(31)
    there { |db| db[:erased].multi_insert([5, 6].map { |id| { child_id: id, class_key: keys[0], at: Time.now } }) }
    expect(backups.go_back(made)).to eq(1)
    expect(there { |db| [db[:children].select_map(:id), db[:problems].select_order_map(:story)] })
      .to eq([[6], ["Ada has 3.", "somebody has 3, Adam 2."]])
    expect(there { |db| db[:problems].first(classroom_id: 1)[:details] }).to eq('{"for": "somebody"}')
  end
end

RSpec.describe InUse do
  it "lets nobody replace a database that a server or a worker uses, until that has gone" do
    url = ENV.fetch("RUNGS_OWNER_URL") { ENV.fetch("DATABASE_URL") }
    expect(described_class.alone(url) { :alone }).to eq(:alone)
    server = spawn({ "DATABASE_URL" => url, "RUNGS_LISTEN_URL" => nil }, RbConfig.ruby, "-e",
                   "require './config/in_use'; InUse.hold.join", chdir: Rungs::ROOT)
    busy = -> { described_class.alone(url) { false } rescue true } # rubocop:disable Style/RescueModifier
    100.times { busy.call ? break : sleep(0.1) }
    expect { described_class.alone(url) { nil } }.to raise_error(described_class::Busy, /Rungs is running/)
    Process.kill(:KILL, server)
    Process.wait(server)
    100.times { busy.call ? sleep(0.1) : break }
    expect(described_class.alone(url) { :alone }).to eq(:alone)
  end
end

RSpec.describe Records::Copy do
  it "keeps what became of each copy, and makes none while another process makes one" do
    made = Backups::Made.new(file: "/somewhere/rungs-1.dump", bytes: 5, counted: 7)
    backups = instance_double(Backups, make: made)
    DB.transaction(rollback: :always) do
      DB[:copies].delete
      2.times { expect(described_class.make(backups)).to eq(made) }
      allow(backups).to receive(:make).and_raise(Backups::Failure, "the disk is full")
      expect { described_class.make(backups) }.to raise_error(Backups::Failure)
      good, _, bad = described_class.order(:id).all
      expect(good.values).to include(file: "rungs-1.dump", bytes: 5, rows: 7, good: true)
      expect(bad.values).to include(file: "", good: false, trouble: "the disk is full")
      Sequel.connect(ENV.fetch("DATABASE_URL")) do |other|
        other.get(Sequel.function(:pg_advisory_lock, Backups::LOCK))
        expect(described_class.make(backups)).to be_nil
      end
      expect(described_class.count).to eq(3)
    end
  end
end
