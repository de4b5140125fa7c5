# frozen_string_literal: true

require "app_helper"

# What Climb, Look back, Sharing and a note for a family say of a class.
RSpec.describe "What is told of a class" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:ada) { room.children.first }

  before { sign_in teacher[0] }

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
    hear(room.children[1])
    expect(names_on_climb("last").last).to eq("Bo")
    hear_everybody(room, teacher[0])
    facts = Rungs::Problem::Band::ALL.fetch("to10").telling_facts.first(8)
    facts.each_with_index { |fact, time| hear(room.children[3], fact, at: Time.now + time, code: "known_fact") }
    expect(names_on_climb("to10").first).to eq("Dag")
  end

  it "Look back and Today count each rung under its own name" do
    posed = pose(room)
    room.children.zip(%w[count_all count_on count_on make_ten known_fact]) do |child, code|
      hear(child, posed: posed, code: code)
    end
    expect(squeezed(get("/back/#{room.id}"))).to include("count all 1 · count on 2 · make ten 1 · known fact 1")
    expect(squeezed(get("/today/#{room.id}"))).to include("count all 1 · count on 2 · make ten 1 · known fact 1")
  end

  it "Sharing offers ways with steps to draw alone, the proposed first, and what was heard child by child" do
    posed = pose(room)
    hear(ada, posed: posed, code: "make_ten", move: "up_through_ten")
    hear(room.children[1], posed: posed, code: "count_on")
    body = squeezed(get("/share/#{room.id}?problem=#{posed.id}"))
    expect(body).to include("Ada", "Bo", "up through ten")
    expect(posed.problem.paths.count { |path| Rungs::Picture::Staging.stages(path, posed.problem).any? }).to be > 3
    expect(get("/share/#{room.id}?problem=#{10**9}").status).to eq(404)
  end
end
