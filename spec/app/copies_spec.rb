# frozen_string_literal: true

require "app_helper"
require_relative "../../config/copies"
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

  it "keeps the last three, for their owner only, and puts everything back" do
    Sequel.connect(aside) { |db| db.run("CREATE TABLE lanterns AS SELECT 7 AS lit") }
    files = (1..4).map { |step| copies.make(step, now: Time.now + step) }
    expect([copies.all, File.stat(files.last).mode & 0o777]).to eq([files.last(3), 0o600])
    Sequel.connect(aside) { |db| db.run("UPDATE lanterns SET lit = 8; CREATE TABLE later (id int)") }
    copies.go_back(files.last)
    expect(run(aside, "SELECT lit FROM lanterns")).to eq([{ lit: 7 }])
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
