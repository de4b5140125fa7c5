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
end
