# frozen_string_literal: true

require "app_helper"

RSpec.describe "Today" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:body) { last_response.body.gsub(/<[^>]+>/, "").gsub(/\s+/, " ") }

  before { sign_in teacher[0] }

  def hear(name, at)
    child = room.children_dataset.first(name: name)
    Records::Recorder.new(room, teacher[0]).record(child: child, problem: pose(room), code: "count_on",
                                                   client_key: SecureRandom.uuid, happened_at: at)
  end

  it "puts whoever was not heard for longest first, with the reason" do
    room.update(settings: Sequel.pg_jsonb("places" => "8"))
    hear "Bo", Time.now - (21 * 86_400)
    get "/today/#{room.id}"
    expect(body).to include("Cleo has not been heard yet.", "Bo has not been heard enough with these numbers.")
    expect(body.index("Cleo has")).to be < body.index("Bo has")
    hear "Cleo", Time.now
    get "/today/#{room.id}"
    expect(body).to include("Cleo has not been heard yet.")
  end

  it "offers to go on with a lesson that stopped before its end, until today's has begun" do
    before = room.start_lesson(room.today - 1)
    2.times { before.course.plan("twins") }
    before.course.go(before.course.parts.first)
    before.finish
    offered = -> { squeezed(get("/today/#{room.id}")).include?("stopped before the end.") }
    expect(offered.call).to be(true)
    course = room.start_lesson(room.today).course
    course.go(course.plan("toss"))
    expect(offered.call).to be(false)
  end

  it "comes back to the lesson of the day that was planned" do
    get "/lesson/#{room.id}"
    there = [room.today, room.today + 1].map do |day|
      send_form "/lesson/#{room.id}/usual", day: day
      URI(last_response.headers["location"]).request_uri
    end
    expect(there).to eq(["/lesson/#{room.id}", "/lesson/#{room.id}?day=#{room.today + 1}"])
  end

  it "sets aside what a substitute took down on the day that is meant, and no other" do
    old = room.start_lesson(room.today - 1)
    get "/lesson/#{room.id}"
    send_form "/lesson/#{room.id}/aside", day: old.held_on
    expect(last_response.headers["location"]).to end_with("/lesson/#{room.id}?day=#{old.held_on}#substitute")
    send_form "/lesson/#{room.id}/aside", day: room.today + 3
    expect(last_response.status).to eq(404)
  end

  it "offers to end a lesson once it has a problem, until it is over" do
    offered = -> { get("/today/#{room.id}").body.include?("Its board code ends with it") }
    lesson = room.start_lesson(room.today)
    lesson.course.plan("twins")
    expect(offered.call).to be(false)
    hear "Ada", Time.now
    expect(offered.call).to be(true)
    lesson.refresh.finish
    expect(offered.call).to be(false)
  end

  it "lists what was posed today, with how many were heard on it" do
    hear "Ada", Time.now
    get "/today/#{room.id}"
    expect(body).to include("9 and 5: how many?", "1 child heard")
  end

  it "says in Listen what each rung would sound like, and where numbers do not invite it" do
    get "/listen/#{room.id}?problem=#{pose(room, [8, 4]).id}"
    expect(body).to include("Eight and two is ten, and two more is twelve.", "not likely with these numbers")
  end
end
