# frozen_string_literal: true

require "app_helper"
require_relative "../../config/start/admin"

RSpec.describe Admin do
  let(:account) { make_teacher[0] }

  it "sets a new password, printed once, and ends the account’s sessions" do
    sign_in account
    printed = nil
    expect { described_class.run(["password", account.email]) }.to output(satisfy { |text| printed = text }).to_stdout
    expect(get("/account").status).to eq(302)
    sign_in account, printed[/is  (\w+)/, 1]
    expect(get("/account").status).to eq(200)
  end

  it "says what it knows, and refuses what it does not" do
    expect { described_class.run(["--help"]) }.to output(/password ADDRESS/).to_stdout
    expect { expect(described_class.run(%w[fly])).to eq(1) }.to output(/“fly” means nothing here/).to_stderr
    expect do
      expect(described_class.run(%w[password nobody@x])).to eq(1)
    end.to output(/No account has the address/).to_stderr
  end

  it "erases again who was erased of these classes, and nobody else with the same number" do
    room = account.classrooms.first
    one, other = room.children.first(2)
    told = instance_double(Backups, erased: [[room.key, one.id], [SecureRandom.uuid, other.id], [room.key, 10**12]])
    allow(described_class).to receive(:backups).and_return(told)
    expect(described_class.erase_again).to eq(1)
    expect(room.refresh.children.map(&:id)).to include(other.id)
    expect(Records::Child[one.id]).to be_nil
  end

  it "has the tables as this version has them, and says at which step they are" do
    expect { expect(described_class.run(%w[migrate])).to eq(0) }
      .to output(/\A(What the records say is made: .*\n)*The tables are at step #{Database.latest}\.\n\z/).to_stdout
  end

  it "makes anew what the records say, of every class, and says how far it is" do
    room = account.classrooms.first
    hear_everybody(room, account)
    kept = DB[:standings].where(classroom_id: room.id).order(:child_id, :scope).all
    DB[:standings].where(classroom_id: room.id).update(known: 99)
    expect { expect(described_class.run(%w[reckon])).to eq(0) }.to output(/class 1 of \d+\./).to_stdout
    expect(DB[:standings].where(classroom_id: room.id).order(:child_id, :scope).all).to eq(kept)
  end

  it "does nothing without being agreed to, and says what it does not know" do
    allow($stdin).to receive(:gets).and_return("no\n")
    %w[restore go-back].each do |command|
      expect { described_class.run([command, "/nowhere"]) }.to output(/Nothing was changed/).to_stderr
                                                           .and output(/Type/).to_stdout
    end
    { %w[backup now] => /written: bin.rungs-admin backup$/, %w[tidy --now] => /written: .* tidy \[--dry-run\]$/,
      %w[password] => /written: bin.rungs-admin password ADDRESS$/, %w[dance] => /“dance” means nothing here/ }
      .each { |wrong, words| expect { described_class.run(wrong) }.to output(words).to_stderr }
    expect { described_class.run(%w[tidy --dry-run]) }.to output(/./).to_stdout
  end
end
