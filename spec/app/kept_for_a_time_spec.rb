# frozen_string_literal: true

require "app_helper"

# How long it is kept, just before its end and just after.
RSpec.describe "What is kept for a time" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:now) { Time.now.round }

  # What is so a second before the edge, on it, and a second after.
  def around(edge) = [-1, 0, 1].map { |step| yield edge + step }

  it "what was brought in can be taken back for thirty days" do
    id = Records::Brought.note(room, teacher[0], "answers", "a.csv")
    at = Records::Brought[id].at
    mine = Records::Brought.where(classroom_id: room.id)
    there = around(at + (30 * 86_400)) { |moment| mine.to_take_back(moment).any? }
    expect(there).to eq([true, false, false])
  end

  it "a file that is looked at, and one that was made, for an hour" do
    upload = Records::Upload.create(account_id: teacher[0].id, classroom_id: room.id, name: "a", at: now)
    job = Records::Job.ask("sheet", {}, account_id: teacher[0].id, classroom_id: room.id)
    [[Records::Upload, upload.at], [Records::Job, job.created_at]].each do |kind, at|
      kept = [3599, 3601].map { |later| kind.tidy(at + later) && kind.where(classroom_id: room.id).any? }
      expect([kind, kept]).to eq([kind, [true, false]])
    end
  end

  it "a job that takes too long has failed; one that is ready has not" do
    job = Records::Job.ask("sheet", {}, account_id: teacher[0].id, classroom_id: room.id)
    late = ->(seconds) { Timecop.freeze(job.created_at + seconds) { job.failed? } }
    expect([late[899], late[901]]).to eq([false, true])
    job.update(state: "ready")
    expect(late[901]).to be(false)
  end

  it "a copy is late after two days, and due from two o'clock on, once" do
    DB.transaction(rollback: :always) do
      Records::Copy.dataset.delete
      expect([Records::Copy.late?, Records::Copy.due?]).to eq([false, true])
      made = Time.utc(2026, 11, 24, 2, 0, 0)
      Records::Copy.create(made_at: made, file: "a", bytes: 1, rows: 1, good: true)
      expect(around(made + (2 * 86_400)) { |at| Records::Copy.late?(at) }).to eq([false, false, true])
      expect(around(made + 86_400) { |at| Records::Copy.due?(at) }).to eq([false, true, true])
      expect(around(made) { |at| Records::Copy.due?(at) }).to eq([false, false, false])
    end
  end

  it "a place where somebody is signed in ends when it was long unused or is old; not where it stays" do
    session = Records::Session.new
    session.values.update(last_use: now, created_at: now, hours: 12, days: 30, stays: false)
    expect(around(now + (12 * 3600)) { |at| session.over?(at) }).to eq([false, false, true])
    session.last_use = now + (30 * 86_400)
    expect(around(now + (30 * 86_400)) { |at| session.over?(at) }).to eq([false, false, true])
    session.values.update(stays: true, last_use: now)
    expect(around(now + (30 * 86_400)) { |at| session.over?(at) }).to eq([false, false, true])
  end
end
