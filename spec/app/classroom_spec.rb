# frozen_string_literal: true

require "app_helper"

# A class: its name, year, size, and its days of hearing.
RSpec.describe Records::Classroom do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:ada) { room.children.first }

  it "a class has room for sixty children, and for as many parts and waiting jobs as it says" do
    expect { Records::Child.enrol(room, (1..55).map { |n| "Kid #{n}" }) }.to change(room, :size).to(60)
    expect { Records::Child.enrol(room, ["One more"]) }.to raise_error(Records::Child::TooMany)
    ask = ->(number) { Records::Job.ask("sheet", { n: number }, account_id: teacher[0].id, classroom_id: room.id) }
    Records::Job::MOST.times(&ask)
    expect { ask[99] }.to raise_error(Records::Job::TooMany)
    expect { ask[0] }.not_to raise_error
  end

  it "asks in which year a new class is, and keeps it among its settings" do
    sign_in teacher[0]
    get "/account"
    years = Nokogiri::HTML5(last_response.body).css("select[name=year] option").map { |option| option["value"] }
    expect(years).to eq(%w[first kindergarten])
    send_form "/account/classes", name: "Room 10", year: "kindergarten"
    made = described_class[last_response.location[/\d+\z/].to_i]
    expect([made.name, made.setting("year"), room.setting("year")]).to eq(["Room 10", "kindergarten", "first"])
    get "/account"
    send_form "/account/classes", name: "Room 11", year: "ninth"
    expect(last_response.status).to eq(422)
  end

  it "is named with its school, where it has one" do
    expect(room.named).to eq("Room 9")
    room.update(school: "Quay School")
    expect(room.named).to eq("Room 9, Quay School")
  end

  it "finds the day before and after one on which somebody was heard" do
    days = [3, 2, 1].map { |back| room.today - back }
    days.each { |day| hear(day: day) }
    expect([room.heard_before(days[1]), room.heard_up_to(days[1]), room.heard_after(days[1])]).to eq(days)
    expect([room.heard_before(days[0]), room.heard_after(days[2])]).to eq([nil, nil])
  end
end
