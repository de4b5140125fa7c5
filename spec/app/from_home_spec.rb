# frozen_string_literal: true

require "app_helper"

RSpec.describe "Back from home" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:ada) { room.children.first }
  let(:path) { "/from-home/#{room.id}" }

  before { sign_in teacher[0] }

  def bring(code, child: ada) = send_form(path, child: child.id, code: code)

  it "keeps who brought a strip and what it says, shows it on the child's page, and takes it back" do
    bring "count_on"
    bring "played"
    expect(get("/climb/#{room.id}/children/#{ada.id}").body).to include("played, today; count on, today")
    expect(get(path).body.scan(ada.name).size).to be > 2
    send_form "#{path}/#{room.home_answers_dataset.max(:id)}/away"
    expect(room.home_answers_dataset.select_map(:code)).to eq(["count_on"])
    expect(get("/climb/#{room.id}/children/#{ada.id}").body).to include("count on, today")
  end

  it "weighs nothing" do
    8.times { bring "known_fact" }
    expect(Records::Evidence.new(room).estimate(ada, "add", "to10", on: room.today).working).to be_nil
    expect(Records::Observation.where(classroom_id: room.id).count).to eq(0)
  end

  it "refuses what is no rung, nobody, and another class's child or strip" do
    other = make_teacher[1]
    [[ada.id, "guess"], [0, "count_on"], [other.children.first.id, "count_on"]].each do |child, code|
      send_form path, child: child, code: code
      expect(last_response.status).to be_between(404, 422)
    end
    there = other.add_home_answer(child_id: other.children.first.id, day: other.today, code: "played")
    send_form "#{path}/#{there.id}/away"
    send_form "#{path}/x/away"
    expect(last_response.status).to eq(404)
    expect([room.home_answers_dataset.count, other.home_answers_dataset.count]).to eq([0, 1])
  end

  it "goes with a child who is erased, and says so before" do
    bring "make_ten"
    erasing = Records::Erasing.new(ada)
    expect(erasing.amounts).to include(home: 1)
    erasing.call
    expect(room.home_answers_dataset.count).to eq(0)
  end
end
