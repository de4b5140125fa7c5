# frozen_string_literal: true

require "app_helper"

# Who asks is one value, which a spec makes as well as a request does.
RSpec.describe Pages::Shared::Visitor do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:posed) { pose(room) }

  def visitor(role: "teacher", **more)
    described_class.new(signed_in: teacher[0].id, room: room, role: role.to_s, people: 1, session: {}, **more)
  end

  it "makes a page without a request" do
    tuesday = room.today - 7
    page = Pages::Listen::Page.new(visitor(role: :assistant), today: tuesday, posed: posed)
    expect([page.today, page.may?(:plan), page.may?(:record), page.together?]).to eq([tuesday, false, true, false])
    expect(page.sections.values).to eq(%w[Today Plan Board Listen Climb Sheets])
    expect(page.in_frame).to include("9 and 5", "Ada")
  end

  it "is asked what may be done, and answers by the table alone" do
    may = ->(role, act) { visitor(role: role).may?(act) }
    expect(Records::Policy::ROLES.select { |role| may.call(role, :plan) }).to eq(["teacher"])
    expect(may.call("coach", :record)).to be(false)
    room.add_visit(account_id: teacher[0].id, day: room.today, children: Sequel.pg_jsonb([])).begin_now
    expect(may.call("coach", :record)).to be(true)
  end

  it "keeps what belongs to the window: a note once, names as they sit, what was explained" do
    kept = visitor
    kept.note("Done.", undo: "/x")
    expect([kept.take_note, kept.take_note]).to eq([{ "text" => "Done.", "undo" => "/x" }, nil])
    kept.keep_seats(true)
    expect([kept.seats?, kept.explained?("hear"), kept.explained?("hear"), visitor.explained?("hear")])
      .to eq([true, false, true, true])
  end

  it "knows a substitute by the lesson that is lent, and nothing else of the account" do
    lent = visitor.taking(room.start_lesson(room.today))
    expect([lent.account_id, lent.role, lent.key, lent.others?])
      .to eq([nil, "substitute", "lesson-#{lent.lent_lesson.id}", false])
    expect(lent.explained?("board")).to be(false)
    expect(lent.session).to eq("seen" => ["board"])
  end

  # What is a piece of Rack itself (call(env)) reads its env; signing in lets in.
  it "is the only reader of env and session, and the policy the only one that asks for a role" do
    files = Dir[File.join(Rungs::ROOT, "app/{pages,records}/**/*.{rb,erb}")].to_h { |file| [file, File.read(file)] }
    pages = files.reject { |file, text| text.include?("def call(env)") || file.end_with?("shared/visitor.rb") }
    reads = pages.select { |_, text| text.match?(/\benv\[|rack\.session/) }
    expect(reads.keys).to eq([])
    asks = /\brole(\]|\))?\s*[!=]=|[!=]= "(teacher|assistant|coach|substitute)"/
    asking = files.reject { |file, _| file.end_with?("policy.rb") }
    found = asking.flat_map { |file, text| text.lines.grep(asks).map { |line| [file, line] } }
    expect(found).to eq([])
  end
end
