# frozen_string_literal: true

require "app_helper"

# What is pressed twice is done once; what breaks or is refused leaves nothing.
RSpec.describe Pages::Shared::Once do
  include Forms

  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:monday) { Rungs::SchoolDays.monday(room.today) + 7 }
  let(:parts) { DB[:lesson_parts].where(classroom_id: room.id) }
  # Signing in is noted each time, and that something was written.
  let(:noted) { %i[answered_forms account_active_session_keys account_authentication_audit_logs class_writes] }
  let(:tables) { DB.tables - [:schema_info, *noted] }

  before { sign_in teacher[0] }

  def key = SecureRandom.uuid

  # How many rows each table has.
  def rows
    DB[tables.map { |name| "SELECT '#{name}', count(*) FROM \"#{name}\"" }.join(" UNION ALL ")]
      .as_hash(:"?column?", :count)
  end

  # What happens in a block is tried, and is not there afterwards.
  def tried(&block) = DB.transaction(rollback: :always, auto_savepoint: true, &block)

  def answer = [last_response.status, last_response.location]

  # A window of the same person, in a thread of its own.
  def window
    Rack::Test::Session.new(app).tap do |other|
      other.header "Host", "127.0.0.1"
      rack_mock_session.cookie_jar.for(nil).split("; ").each { |cookie| other.set_cookie(cookie) }
    end
  end

  # The same form from so many windows of this person's at the same time.
  # @return [Array<Rack::MockResponse>]
  def at_once(path, *sent)
    get "/week/#{room.id}"
    mark = token
    opened = sent.map { |fields| [window, fields] }
    pressed = opened.map { |own, fields| Thread.new { own.post(path, authenticity_token: mark, **fields) } }
    pressed.map(&:value)
  end

  def week(**more) = { from: monday.iso8601, **more }

  it "gives the first answer to a form that comes again, and does it once" do
    form = week(once: key, do: "copy", day: monday.iso8601, place: (monday + 1).iso8601)
    room.lesson_for(monday).course.plan("twins")
    answers = Array.new(3) { send_form("/week/#{room.id}/day", **form) && answer }
    expect(answers).to eq([[302, answers[0][1]]] * 3)
    expect(room.lesson_on(monday + 1).course.parts.map(&:kind)).to eq(["twins"])
    send_form "/week/#{room.id}/day", **form, place: (monday + 2).iso8601
    expect(room.lesson_on(monday + 2).course.parts.map(&:kind)).to eq(["twins"])
  end

  it "knows a key as its person's alone, for a day" do
    form = { name: "Room 12", year: "first", once: key }
    send_form "/account/classes", **form
    as(make_teacher[0]) { expect { send_form "/account/classes", **form }.to change(Records::Classroom, :count).by(1) }
    as(teacher[0]) do
      expect { send_form "/account/classes", **form }.not_to change(Records::Classroom, :count)
      Timecop.travel(Time.now + 86_401) { Records::AnsweredForm.tidy }
      expect { send_form "/account/classes", **form }.to change(Records::Classroom, :count).by(1)
    end
  end

  it "proposes one week to two presses at once, each answered alike" do
    once = { from: monday.iso8601, once: key }
    answers = at_once("/week/#{room.id}/propose", once, once)
    expect(answers.map { |each| [each.status, each.location] }.uniq.size).to eq(1)
    expect(parts.select_group(:lesson_id).select_map(Sequel.function(:count).*)).to match([be <= 5] * 5)
  end

  it "proposes one week to two tablets at once, whose forms have keys of their own" do
    at_once("/week/#{room.id}/propose", *Array.new(2) { { from: monday.iso8601, once: key } })
    expect(parts.select_group(:lesson_id).select_map(Sequel.function(:count).*)).to match([be <= 5] * 5)
  end

  it "keeps every tick of two tablets, each day off and every setting" do
    things = Rungs::Activity::ALL.flat_map { |kind| kind.materials.map(&:thing) }.uniq.first(8)
    things.each_slice(2) do |pair|
      at_once("/week/#{room.id}/shelf", *pair.map { |thing| { thing: thing, there: "1", once: key } })
    end
    days = (0..3).map { |day| (monday + day).iso8601 }
    days.each_slice(2) do |pair|
      at_once("/week/#{room.id}/day", *pair.map { |day| { from: monday.iso8601, day: day, do: "close", once: key } })
    end
    expect(room.refresh.settings.to_h).to include("shelf" => match_array(things), "off" => days)
  end

  it "merges settings into what is there, however old the class in hand is" do
    mine, other = Array.new(2) { Records::Classroom[room.id] }
    mine.merge_settings("fill" => "pairs")
    other.merge_settings("minutes" => "30")
    other.keep_apart([1, 2])
    mine.keep_apart([3, 4])
    expect(room.refresh.settings.to_h).to include("fill" => "pairs", "minutes" => "30", "apart" => [[1, 2], [3, 4]])
  end

  it "leaves nothing of a week that breaks in the middle" do
    calls = 0
    allow(Records::Details).to receive(:new).and_wrap_original do |made, *given|
      (calls += 1) == 7 ? raise("the disk is gone") : made.call(*given)
    end
    before = rows
    send_form "/week/#{room.id}/propose", from: monday.iso8601, once: key
    expect([last_response.status, calls, rows]).to eq([500, 7, before])
  end

  # A script sends those with data-undo and data-photo-form, as the taps that they are.
  it "gives every form in a view a key" do
    views = Dir[File.join(Rungs::ROOT, "app/pages/**/*.erb")]
    forms = views.flat_map { |view| File.read(view).scan(%r{<form\b.*?</form>}m).map { |form| [view, form] } }
    posted = forms.select { |_, form| form[/<form.*?>\s*$/m].include?('method="post"') }
    expect(posted.size).to be > 100
    expect(posted.reject { |_, form| form.match?(/form_fields|data-undo|data-photo-form/) }).to eq([])
  end

  # A class in which there is something of everything that a form may change.
  def lived_in
    hear_everybody(room, teacher[0])
    course = room.start_lesson(room.today).course
    %w[twins two_cards].each { |kind| course.plan(kind) }
    course.go(course.parts.first)
    room.lesson_for(monday).course.plan("twins")
  end

  # @return [Array<Forms::Form>] what ends a session, an account or a class comes last
  def found
    lived_in
    all = forms_from("/today/#{room.id}", "/account/classes/#{room.id}", "/account", "/records/#{room.id}",
                     most: seeds(200, few: 40).last)
    ends, others = all.partition { |form| form.action.match?(/logout|close|delete|archive|password|sessions|leave/) }
    [*others, *ends.partition { |form| !form.action.include?("logout") }.flatten]
  end

  # What one press leaves, which is not there afterwards.
  # @return [Hash{Symbol => Integer}]
  def pressed_once(form) = tried { press(form) && rows }

  def press(form)
    sign_in teacher[0] unless get("/account").ok?
    send_form(form.action, **sent(form))
  end

  def sent(form) = form.fields.except("authenticity_token").transform_keys(&:to_sym)

  it "does each form of every page once, however often it comes", :seeds do
    forms = some(found, 12)
    did = forms.count do |form|
      before, single = rows, pressed_once(form)
      twice = tried { Array.new(2) { press(form) && answer } << rows }
      expect([form.to_s, twice[2]]).to eq([form.to_s, single])
      expect([form.to_s, twice[1]]).to eq([form.to_s, twice[0]]) if twice[0][1]
      single != before
    end
    expect(did).to be > forms.size / 4
  end

  # A teacher who presses twice does not wait, and neither do two tablets of theirs.
  it "does each form once that two windows press at the same time", :deep do
    forms = found
    did = forms.count do |form|
      before, single = rows, pressed_once(form)
      answers = at_once(form.action, sent(form), sent(form))
      expect([form.to_s, rows]).to eq([form.to_s, single])
      led = answers.map(&:location)
      expect([form.to_s, led[1]]).to eq([form.to_s, led[0]]) if led.all?
      expect([form.to_s, answers.map(&:status)]).to match([form.to_s, all(be < 500)])
      single != before
    end
    expect(did).to be > forms.size / 4
  end
end
