# frozen_string_literal: true

require "app_helper"

# What a new teacher sees and does with names, the first answers, and what was done too soon.
RSpec.describe "The first days" do
  let(:teacher) { make_teacher(children: %w[Ada Bo Cleo]) }
  let(:room) { teacher[1] }
  let(:recorder) { Records::Recorder.new(room, teacher[0]) }

  before { sign_in teacher[0] }

  def body(path) = get(path).then { squeezed }

  def hear(posed, name, code = "count_on", at: Time.now)
    child = room.children_dataset.first(name: name)
    recorder.record(child: child, problem: posed, code: code, happened_at: at, client_key: SecureRandom.uuid)
  end

  def list = Records::Classroom[room.id].children.map(&:name)

  it "shows what a pasted list would add, and adds nobody before that is agreed to" do
    get "/account/classes/#{room.id}"
    send_form "/account/classes/#{room.id}/list", list: "Name\nAda\nDag\nEda\n???"
    expect(last_response.body).to include("To be added: 2", "on the list already", "no name in it")
    expect(room.children_dataset.count).to eq(3)
    send_form "/account/classes/#{room.id}/children", names: "Dag\nEda"
    expect(room.children_dataset.count).to eq(5)
  end

  it "renames a child, refuses a name that is there, and keeps an order of one's own" do
    bo = room.children_dataset.first(name: "Bo")
    body("/account/classes/#{room.id}")
    send_form "/account/classes/#{room.id}/children/#{bo.id}", name: "Bodil"
    send_form "/account/classes/#{room.id}/children/#{bo.id}", name: "Ada"
    expect([last_response.status, last_response.body]).to match([422, include("There is a Ada")])
    send_form "/account/classes/#{room.id}/children/#{bo.id}", do: "earlier"
    expect(list).to eq(%w[Bodil Ada Cleo])
    send_form "/account/classes/#{room.id}/order"
    expect(list).to eq(%w[Ada Bodil Cleo])
  end

  it "takes a child off the list and, at one press, puts it back with all that was heard" do
    hear(pose(room), "Bo")
    bo = room.children_dataset.first(name: "Bo")
    body("/account/classes/#{room.id}")
    send_form "/account/classes/#{room.id}/children/#{bo.id}/leave"
    expect(body("/account/classes/#{room.id}")).to include("Bo is off the list", "Undo")
    send_form "/account/classes/#{room.id}/children/#{bo.id}/back"
    expect(list).to eq(%w[Ada Bo Cleo])
    expect(room.observations_dataset.where(child_id: bo.id).count).to eq(1)
  end

  it "puts a class away and takes it out again, and begins a year with the records or without" do
    hear(pose(room), "Bo")
    body("/account/classes/#{room.id}")
    send_form "/account/classes/#{room.id}/archive"
    expect(teacher[0].classrooms_dataset.count).to eq(0)
    expect(body("/climb/#{room.id}")).to include("Bo")
    send_form "/account/classes/#{room.id}/archive", back: "1"
    send_form "/account/classes/#{room.id}/year", name: "Room 10", records: "true"
    expect(Records::Classroom[room.id].name).to eq("Room 10")
    send_form "/account/classes/#{room.id}/year", name: "Room 11", records: "false"
    anew = teacher[0].classrooms_dataset.first(name: "Room 11")
    expect([anew.children.map(&:name), anew.observations_dataset.count]).to eq([%w[Ada Bo Cleo], 0])
    expect(body("/today/#{anew.id}")).not_to include("Room 10")
    expect(room.refresh.archived_on).not_to be_nil
  end

  it "says of one answer that it is one, and where the rung will stand" do
    hear(pose(room), "Bo")
    expect(body("/climb/#{room.id}")).to include("1 answer: count on")
    bo = room.children_dataset.first(name: "Bo")
    expect(body("/climb/#{room.id}/children/#{bo.id}")).to include("one more and a rung stands here")
    expect(last_response.body).not_to include("next-problems")
    expect(body("/groups/#{room.id}")).to include("once two children have been heard enough")
  end

  it "has heard who was heard today, on every page, whatever was said" do
    posed = pose(room)
    hear(posed, "Bo", "no_answer")
    lists = { "today" => %(Bo</a><span class="soft">was heard today),
              "hear" => "<p>Bo was heard today" }
    lists.each { |page, words| expect(body("/#{page}/#{room.id}")).to include(words) }
    expect(Nokogiri::HTML5(body("/hear/#{room.id}")).css(".hear-days .tick").size).to eq(1)
    %w[today climb hear listen].each { |page| expect(body("/#{page}/#{room.id}")).not_to include('marker">Bo<') }
    expect(body("/back/#{room.id}")).to include("1 child heard, 1 answer to 1 problem: Bo.")
    posed.lesson.finish
    expect(body("/today/#{room.id}")).to include("Whom to hear on")
    expect(squeezed).to include("has not been heard yet")
    expect(last_response.body.index("Ada</a>")).to be < last_response.body.index("Bo</a>")
  end

  it "takes out a part, and finishes, so that one press undoes it" do
    course = room.start_lesson(room.today).course
    part = course.plan("twins")
    course.plan("quick_look")
    course.go(part)
    body("/lesson/#{room.id}")
    send_form "/lesson/#{room.id}/parts/#{part.id}", do: "remove"
    expect(body("/lesson/#{room.id}")).to include("Twins is taken out", "/parts/#{part.id}/back")
    send_form "/lesson/#{room.id}/parts/#{part.id}/back"
    expect(room.lesson_on(room.today).course.parts.map(&:kind)).to eq(%w[twins quick_look])
    room.lesson_on(room.today).course.go(room.part(part.id))
    send_form "/lesson/#{room.id}/go", to: "finish"
    expect(room.lesson_on(room.today).ended_at).not_to be_nil
    send_form "/lesson/#{room.id}/unfinish"
    expect(room.lesson_on(room.today)).to have_attributes(ended_at: nil, course: have_attributes(current: part))
  end

  it "lists each way of a child once" do
    posed = pose(room)
    3.times { |time| hear(posed, "Bo", at: Time.now + time) }
    hear(posed, "Bo", "count_all")
    share = body("/share/#{room.id}?problem=#{posed.id}")
    expect(share.scan('<optgroup label="Bo">').size).to eq(1)
    expect(share[%r{<optgroup label="Bo">.*?</optgroup>}m].scan("<option").size).to eq(2)
  end

  it "finds a child, an old problem and a day in one field" do
    posed = pose(room, [9, 5])
    found = ->(words) { body("/search/#{room.id}?q=#{Rack::Utils.escape(words)}") }
    expect(found.call("cle")).to include("Cleo")
    expect(found.call("9+5")).to include("problem=#{posed.id}")
    expect(found.call("how many")).to include("problem=#{posed.id}")
    expect(found.call(room.today.strftime("%-d %B"))).to include("day=#{room.today}")
    expect(found.call(room.today.strftime("%A"))).to include("day=#{room.today}")
    expect(found.call("%")).not_to include("problem=#{posed.id}")
    expect(found.call("zzz")).to include("Nothing here has")
    expect(found.call("")).to include("Type a name")
  end

  it "keeps a story as it is typed, for who types it, until it is posed or let go" do
    typed = { situation: "add_to.result", band: "to10", "numbers[]": [3, 4], words: "3 crabs, then 4" }
    body("/plan/#{room.id}")
    send_form "/plan/#{room.id}/draft", **typed
    expect(last_response.body).to eq("Kept a moment ago.")
    expect(body("/plan/#{room.id}")).to include("3 crabs, then 4", "Your own words, kept")
    send_form "/plan/#{room.id}/draft/forget"
    expect(body("/plan/#{room.id}")).not_to include("3 crabs, then 4")
    send_form "/plan/#{room.id}/draft", **typed
    send_form "/plan/#{room.id}/problems", **typed, words: "3 crabs, then 4. How many?"
    expect(body("/plan/#{room.id}")).not_to include("3 crabs, then 4")
  end

  it "keeps a note as it is typed, and prints what is on the screen" do
    hear(pose(room), "Bo")
    bo = room.children_dataset.first(name: "Bo")
    body("/notes/#{room.id}/#{bo.id}")
    send_form "/notes/#{room.id}/#{bo.id}", htmx: true, now: "Bo counts the gulls."
    expect(last_response.body).to eq("Kept a moment ago.")
    expect(body("/notes/#{room.id}/#{bo.id}")).to include("Bo counts the gulls.")
    send_form "/notes/#{room.id}/#{bo.id}", now: "Bo counts the boats.", print: "a4"
    expect(last_response.headers["location"]).to end_with("/notes/#{room.id}/#{bo.id}/a4.pdf")
    expect(body("/notes/#{room.id}/#{bo.id}")).to include("Bo counts the boats.")
  end
end
