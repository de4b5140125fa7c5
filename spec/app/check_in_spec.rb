# frozen_string_literal: true

require "app_helper"

# What a check-in asks, takes and refuses.
RSpec.describe Records::CheckIn do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:ada) { room.children.first }

  before { sign_in teacher[0] }

  it "asks in a check-in what was not answered yet, and says why that" do
    described_class.open(ada, operation: "add", band: "to10")
    check_in = described_class.where(child_id: ada.id).first
    first = check_in.current
    expect([first.check_in_id, check_in.why]).to match([check_in.id, /\A[A-Z].*\.\z/])
    hear(posed: first)
    expect(check_in.current).to be_nil
    check_in.go_on
    expect(check_in.current.id).to be > first.id
  end

  it "a check-in asks, takes an answer once, goes on until it is clear, and refuses what is none of its problems" do
    send_form "/check-in/#{room.id}/#{ada.id}/start", operation: "add", band: "to10"
    open = described_class.latest(ada)
    first = open.current
    answer = { problem_id: first.id, code: "count_on", client_key: SecureRandom.uuid }
    get "/check-in/#{room.id}/#{ada.id}"
    2.times { send_form "/check-in/#{room.id}/#{ada.id}/answers", **answer }
    expect(room.observations_dataset.count).to eq(1)
    expect(open.refresh.current.id).not_to eq(first.id)
    there = "/check-in/#{room.id}/#{ada.id}/answers"
    expect(send_form(there, **answer, client_key: SecureRandom.uuid, problem_id: 10**9).status).to eq(404)
    expect(send_form(there, **answer, client_key: SecureRandom.uuid, problem_id: pose(room).id).status).to eq(404)
    expect(send_form(there, **answer, code: "by_magic").status).to eq(422)
    send_form "/check-in/#{room.id}/#{ada.id}/stop"
    expect(open.refresh.ended_at).not_to be_nil
  end
end
