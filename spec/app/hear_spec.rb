# frozen_string_literal: true

require "app_helper"

# Whom to hear, and who comes first.
RSpec.describe "Whom to hear" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:ada) { room.children.first }

  before { sign_in teacher[0] }

  it "Whom to hear names who is away on a day, and lets them keep their turn" do
    get "/hear/#{room.id}"
    expect(squeezed.scan("Away: nobody").size).to eq(5)
    send_form "/hear/#{room.id}/away", day: room.today.to_s, child: ada.id, away: "true"
    expect(squeezed(get("/hear/#{room.id}"))).to include("Away: Ada")
    expect(squeezed.scan("Away: nobody").size).to eq(4)
    send_form "/hear/#{room.id}/away", day: room.today.to_s, child: ada.id, away: "false"
    expect(squeezed(get("/hear/#{room.id}")).scan("Away: nobody").size).to eq(5)
    expect(send_form("/hear/#{room.id}/away", day: room.today.to_s, child: 10**9, away: "true").status).to eq(404)
  end

  it "whom to hear today stands once the lesson has begun, whoever comes to the class meanwhile" do
    names = lambda {
      Records::ListeningList.new(room, Records::Evidence.new(room), %w[add to10]).on(room.today).map(&:name)
    }
    room.start_lesson(room.today)
    before = names.call
    Records::Child.enrol(room, ["Abe"])
    room.refresh
    expect(names.call).to eq(before)
    Records::ListeningList.new(room, Records::Evidence.new(room), %w[add to10]).forget(room.today)
    expect(names.call).to eq(["Abe", *before])
  end

  it "Whom to hear begins with today where there is school, as its list stands, else with the next school day" do
    days = -> { Nokogiri::HTML5(get("/hear/#{room.id}").body).css(".hear-days thead th").map(&:text) }
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
end
