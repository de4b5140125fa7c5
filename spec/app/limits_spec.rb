# frozen_string_literal: true

require "app_helper"

RSpec.describe "Limits" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }

  RSpec::Matchers.define_negated_matcher :exclude, :include

  it "ends a request that takes too long, and says so" do
    slow = Rack::Builder.new do
      use Pages::Shared::ErrorPages
      use Rack::Timeout, service_timeout: 1, wait_timeout: false
      run ->(_) { sleep 5 }
    end
    answer = Rack::MockRequest.new(slow).get("/")
    expect([answer.status, answer.body]).to match([503, include("A moment, please")])
    expect(DB.get(Sequel.function(:current_setting, "statement_timeout"))).to eq("15s")
  end

  it "asks for a moment where the database is just coming back" do
    gone = Pages::Shared::ErrorPages.new(->(_) { raise Sequel::DatabaseDisconnectError, "gone" })
    expect(Rack::MockRequest.new(gone).get("/").status).to eq(503)
  end

  it "takes no more than sixty children into a class, and says how many there would be" do
    sign_in teacher[0]
    get "/account/classes/#{room.id}"
    send_form "/account/classes/#{room.id}/children", names: Array.new(40) { |index| "Kim #{index}" }.join("\n")
    send_form "/account/classes/#{room.id}/children", names: Array.new(16) { |index| "Lou #{index}" }.join("\n")
    expect([last_response.status, last_response.body]).to match([422, include("it would have 61")])
    expect(room.children_dataset.count).to eq(45)
  end

  it "turns away what is too large before it is read" do
    sign_in teacher[0]
    get "/account/classes/#{room.id}"
    send_form "/account/classes/#{room.id}/children", names: "x" * 70_000
    expect([last_response.status, last_response.body]).to match([413, include("too large")])
    expect(room.children_dataset.count).to eq(5)
  end

  it "answers 4xx to numbers, days and paths from nowhere" do
    posed = pose(room)
    sign_in teacher[0]
    get "/board/#{room.id}"
    send_form "/board/#{room.id}/lessons/#{posed.lesson_id}/commands", do: "problem", value: "9" * 30
    expect(last_response.status).to eq(404)
    child = room.children.first
    ["/back/#{room.id}?day=1999-12-31", "/lesson/#{room.id}?day=2101-01-01", "/back/#{room.id}?day=9999-12-31",
     "/climb/#{room.id}/children/#{child.id}/reason?to=0001-01-01", "/%FF", "/today/%FF"].each do |path|
      expect([path, get(path).status]).to match([path, be_between(400, 499)])
    end
    expect(get("/back/#{room.id}?day=1999-12-31").body).to include("Day is from the year 2000 to 2100")
    expect(get("/share/#{room.id}?problem=#{posed.id}&pieces=4").status).to eq(200)
    send_form "/groups/#{room.id}/apart", one: child.id
    expect([last_response.status, last_response.body]).to match([422, include("Choose two children")])
  end

  it "sends pages small, and the session’s cookie only where it changed" do
    sign_in teacher[0]
    get "/today/#{room.id}"
    header "Accept-Encoding", "gzip"
    get "/today/#{room.id}"
    expect(last_response.headers).to include("content-encoding" => "gzip").and exclude("set-cookie")
    expect(Zlib.gunzip(last_response.body)).to include("Today in")
  end

  it "lets twenty windows show a lesson, and tells the next one" do
    lesson = pose(room).lesson
    events = Live::LessonEvents.new
    allow(Live::LessonEvents).to receive(:instance).and_return(events)
    pairs = Array.new(20) { UNIXSocket.pair }
    pairs.each { |_, there| events.add(lesson.id, there, 1) }
    expect(Live::LessonEvents.response(lesson)[2].to_a.join).to include("event: full")
    pairs.flatten.each(&:close)
    events.stop
  end

  it "answers to named hosts only, and believes no forwarded address without a proxy" do
    stub_const("ENV", ENV.to_h.merge("RUNGS_HOST" => "0.0.0.0", "RUNGS_HOSTS" => "rungs.school.example, other.example"))
    expect(Settings.hosts).to include("127.0.0.1", "rungs.school.example", "other.example")
    header "Host", "evil.example"
    expect(get("/account/login").status).to eq(403)
    header "Host", "127.0.0.1"
    request = Rack::Request.new(Rack::MockRequest.env_for("/", "HTTP_X_FORWARDED_FOR" => "10.1.1.1",
                                                               "REMOTE_ADDR" => "127.0.0.1"))
    expect(request.ip).to eq("127.0.0.1")
  end

  it "offers the demo to no request that came through a proxy" do
    expect(get("/account/login").body).to include("Open the demo class")
    header "X-Forwarded-For", "10.1.1.1"
    expect(get("/account/login").body).not_to include("Open the demo class")
    send_form "/account/demo"
    expect(get("/account").status).to eq(302)
  end
end
