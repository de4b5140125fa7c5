# frozen_string_literal: true

require "app_helper"

# Pages that a journey goes through as a whole, asked here for what stands on them and what they refuse.
RSpec.describe "Smaller pages" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:ada) { room.children.first }

  before { sign_in teacher[0] }

  def hear(child, posed, code, **more)
    Records::Recorder.new(room, teacher[0]).record(child: child, problem: posed, code: code, happened_at: Time.now,
                                                   client_key: SecureRandom.uuid, **more)
  end

  it "Whom to hear names who is away on a day, and lets them keep their turn" do
    get "/hear/#{room.id}"
    expect(squeezed.scan("Who is away: nobody").size).to eq(5)
    send_form "/hear/#{room.id}/away", day: room.today.to_s, child: ada.id, away: "true"
    expect(squeezed(get("/hear/#{room.id}"))).to include("Who is away: Ada")
    expect(squeezed.scan("Who is away: nobody").size).to eq(4)
    send_form "/hear/#{room.id}/away", day: room.today.to_s, child: ada.id, away: "false"
    expect(squeezed(get("/hear/#{room.id}")).scan("Who is away: nobody").size).to eq(5)
    expect(send_form("/hear/#{room.id}/away", day: room.today.to_s, child: 10**9, away: "true").status).to eq(404)
  end

  it "Whom to hear begins with today where there is school, as its list stands, else with the next school day" do
    days = -> { Nokogiri::HTML5(get("/hear/#{room.id}").body).css(".hear-days h2").map(&:text) }
    expect([days.call.size, days.call.first]).to eq([5, "Today"])
    room.mark_off([room.today])
    expect([days.call.size, days.call.include?("Today")]).to eq([5, false])
  end

  it "Listen begins with the child that is asked for, of this class alone" do
    posed = pose(room)
    chosen = lambda do |query|
      page = Nokogiri::HTML5(get("/listen/#{room.id}?problem=#{posed.id}#{query}").body)
      named = page.css(".child[aria-current]").map { |each| each.text[/[A-Z]\w+/] }
      [named, page.at_css("input[name=child_id]")["value"].to_s]
    end
    other = make_teacher[1].children.first
    expect(["", "&child=#{other.id}", "&child=x"].map(&chosen)).to all(eq([[], ""]))
    expect(chosen.call("&child=#{ada.id}")).to eq([%w[Ada], ada.id.to_s])
  end

  it "A note for a family opens in the browser, what is kept of a child is put by" do
    get "/notes/#{room.id}/#{ada.id}/a4.pdf"
    expect(last_response.headers["content-disposition"]).to start_with("inline")
    get "/records/#{room.id}/child?child=#{ada.id}&as=json"
    expect(last_response.headers["content-disposition"]).to start_with("attachment")
  end

  def names_on_climb(sort)
    get("/climb/#{room.id}?sort=#{sort}").body[/<table.*/m].scan(/>\s*(Ada|Bo|Cleo|Dag|Eda)\s*</).flatten.uniq
  end

  it "Climb sorts by a column, the highest rung first, or by who was heard longest ago" do
    hear(room.children[1], pose(room), "count_on")
    expect(names_on_climb("last").last).to eq("Bo")
    hear_everybody(room, teacher[0])
    facts = Rungs::Problem::Band::ALL.fetch("to10").telling_facts.first(8)
    facts.each_with_index { |fact, time| hear(room.children[3], pose(room, fact, at: Time.now + time), "known_fact") }
    expect(names_on_climb("to10").first).to eq("Dag")
  end

  it "Look back and Today count each rung under its own name" do
    posed = pose(room)
    room.children.zip(%w[count_all count_on count_on make_ten known_fact]) { |child, code| hear(child, posed, code) }
    expect(squeezed(get("/back/#{room.id}"))).to include("count all 1 · count on 2 · make ten 1 · known fact 1")
    expect(squeezed(get("/today/#{room.id}"))).to include("count all 1 · count on 2 · make ten 1 · known fact 1")
  end

  it "Sharing offers ways with steps to draw alone, the proposed first, and what was heard child by child" do
    posed = pose(room)
    hear(ada, posed, "make_ten", move: "up_through_ten")
    hear(room.children[1], posed, "count_on")
    body = squeezed(get("/share/#{room.id}?problem=#{posed.id}"))
    expect(body).to include("Ada", "Bo", "up through ten")
    expect(posed.problem.paths.count { |path| Rungs::Picture::Staging.stages(path, posed.problem).any? }).to be > 3
    expect(get("/share/#{room.id}?problem=#{10**9}").status).to eq(404)
  end

  it "a check-in asks, takes an answer once, goes on until it is clear, and refuses what is none of its problems" do
    send_form "/check-in/#{room.id}/#{ada.id}/start", operation: "add", band: "to10"
    open = Records::CheckIn.latest(ada)
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

  it "seats refuse a name that is not there, and a seat without a name" do
    get "/listen/#{room.id}/seats"
    expect(send_form("/listen/#{room.id}/seats", item: 10**9, place: "1").status).to eq(404)
    expect(send_form("/listen/#{room.id}/seats", place: "1").status).to eq(422)
    expect(send_form("/listen/#{room.id}/seats", item: ada.id).status).to eq(422)
    send_form "/listen/#{room.id}/seats", item: ada.id, place: "4"
    expect(ada.refresh.seat).to eq(4)
    send_form "/listen/#{room.id}/seats", item: ada.id, place: "none"
    expect(ada.refresh.seat).to be_nil
  end
end
