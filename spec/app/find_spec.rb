# frozen_string_literal: true

require "app_helper"

RSpec.describe "Finding something to do" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }

  before { sign_in teacher[0] }

  def chosen = Nokogiri::HTML5(last_response.body).css("option[selected]").map { |each| each["value"] }

  it "shows every activity under what it is for, with its options and its first items" do
    own = Rungs::Activity::OWN
    (Rungs::Activity::FINDS.keys - own.finds).each do |find|
      get "/find/#{room.id}", finds: find
      titles = Nokogiri::HTML5(last_response.body).css(".find-cards strong").map(&:text)
      expect(titles).to eq(Rungs::Activity::ALL.select { |each| each.finds.include?(find) }.map(&:title))
    end
    Rungs::Activity::ALL.reject { |each| each == own }.each do |activity|
      get "/find/#{room.id}", activity: activity.id, seed: 3
      expect([activity.id, last_response.status, chosen])
        .to eq([activity.id, 200, activity.options.map { |option| option.default.to_s }])
      expect(Nokogiri::HTML5(last_response.body).css(".find-items svg").size).to be_between(1, 6)
    end
    get "/find/#{room.id}", activity: own.id, day: room.today
    expect(last_response.headers["location"]).to end_with("/own/#{room.id}?day=#{room.today}")
  end

  it "takes each choice of each option, and the same seed shows the same items", :deep do
    Rungs::Activity::ALL.reject { |each| each == Rungs::Activity::OWN }.each do |activity|
      (activity.options - [Rungs::Activity::Ranged::OPTION]).each do |option|
        choice = option.choices.last
        next if activity.with(option.id => choice).most&.zero?

        get "/find/#{room.id}", activity: activity.id, seed: 7, option.id => choice
        expect([activity.id, option.id, last_response.status]).to eq([activity.id, option.id, 200])
        expect(chosen).to include(choice.to_s)
      end
    end
    bodies = Array.new(2) { get("/find/#{room.id}", activity: "toss", seed: 5).body[%r{find-items.*?</ul>}m] }
    expect(bodies.uniq.size).to eq(1)
  end

  it "offers only the ranges that the other choices leave enough of, and takes no other" do
    get "/find/#{room.id}", activity: "hidden_beads", whole: "20", range: "to20", seed: 7
    page = Nokogiri::HTML5(last_response.body)
    expect(page.css("select[name=range] option").map { |option| option["value"] }).to eq(%w[none to20])
    expect(page.at_css("select[name=range] [selected]")["value"]).to eq("to20")
    get "/find/#{room.id}", activity: "hidden_beads", whole: "10", range: "to20", seed: 7
    expect([last_response.status, chosen.last]).to eq([200, "none"])
  end

  it "chooses what fits the class, and names what slipped of late that an activity brings out" do
    posed = pose(room, [13, 4], situation: "take_from.result")
    recorder = Records::Recorder.new(room, teacher[0])
    2.times do
      recorder.record(child: room.children.first, problem: posed, code: "count_on", answer: 10,
                      client_key: SecureRandom.uuid, happened_at: Time.now)
    end
    get "/find/#{room.id}", activity: "jump_track"
    expect(chosen.first).to eq("20")
    expect(last_response.body).to include("Brings out what slipped here of late", ", 2 times")
    get "/find/#{room.id}", activity: "by_heart"
    expect(chosen).to eq(%w[subtract none])
  end

  it "puts an activity into the lesson of a day to come, and of none that is over" do
    day = room.today + 3
    body = get("/find/#{room.id}", activity: "twins", day: day).body
    expect(body).to include("Take it into the lesson of")
    expect(Nokogiri::HTML5(body).css(".find-cards a, .find-wants a").map do |link|
      link["href"]
    end).to all(include("day=#{day}"))
    expect(body).not_to include("Do it now")
    send_form "/find/#{room.id}", activity: "twins", seed: 3, day: day
    expect(last_response.location).to end_with("/lesson/#{room.id}?day=#{day}")
    expect(room.lesson_on(day).course.parts.map(&:kind)).to eq(%w[twins])
    send_form "/find/#{room.id}", activity: "twins", day: room.today - 1
    expect([last_response.status, last_response.body]).to match([422, include("That day is over")])
  end

  it "leads from a story to where it is written, with what was chosen" do
    get "/find/#{room.id}", activity: "story_time", situation: "take_from.result", band: "to5"
    there = Nokogiri::HTML5(last_response.body).at_css("a:contains('Pose it in your own words')")["href"]
    expect(get(there).status).to eq(200)
    expect(chosen).to include("take_from.result", "to5")
  end

  it "refuses a choice that there is not, and puts nothing into the plan" do
    get "/find/#{room.id}", activity: "twins", to: "7"
    expect([last_response.status, last_response.body]).to match([422, include("there is no to “7”")])
    get "/find/#{room.id}"
    send_form "/find/#{room.id}", activity: "twins", to: "7"
    expect(last_response.status).to eq(422)
    expect(room.lesson_on(room.today)&.course&.parts.to_a).to be_empty
  end
end
