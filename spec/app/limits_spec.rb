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

  it "says that there is no room where the disk is full, here and where it was started" do
    full = Sequel::DatabaseError.new("no").tap { |error| error.wrapped_exception = PG::DiskFull.new("full") }
    [full, Errno::ENOSPC.new].each do |error|
      page = Pages::Shared::ErrorPages.new(->(_) { raise error })
      answers = []
      expect { 2.times { answers << Rack::MockRequest.new(page).get("/") } }
        .to output(/\AThe disk is full: nothing new can be kept.*\n\z/).to_stderr
      expect(answers.map(&:status)).to eq([507, 507])
      expect(answers[0].body).to include("The server has no room left", "taps wait on the device")
    end
  end

  it "asks for a moment where the database is just coming back" do
    slow = Pages::Shared::ErrorPages.new(lambda { |_|
      DB.transaction { DB.run("SET LOCAL statement_timeout = 5; SELECT pg_sleep(1)") }
    })
    answer = Rack::MockRequest.new(slow).get("/")
    expect([answer.status, answer.body]).to match([503, include("try once more")])
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
    sized = Pages::Shared::Size.new(->(_) { [200, {}, []] })
    statuses = [0, 65 * 1024].map do |more|
      sized.call("PATH_INFO" => "/records/7/in", "CONTENT_LENGTH" => (Settings::LARGEST_FILE + more).to_s).first
    end
    expect(statuses).to eq([200, 413])
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

  it "passes over a cookie that cannot be read, and goes back to no page but its own" do
    ["rungs.stay=%FF", "rungs.session=%FF%00", "x=%", "\xFF=\xFE"].each do |odd|
      answer = Rack::MockRequest.new(app).get("/account/login", "HTTP_HOST" => "127.0.0.1", "HTTP_COOKIE" => odd)
      expect([odd, answer.status]).to eq([odd, 200])
    end
    sign_in teacher[0]
    get "/week/#{room.id}"
    { "/lesson/#{room.id}?day=2026-11-24" => "/lesson/#{room.id}?day=2026-11-24",
      "/week/#{room.id}?\r\nLocation: //x" => nil,
      "/week/#{room.id}?a b" => nil, "//evil.example" => nil, "/week/#{room.id}0" => nil,
      "/lesson/#{room.id}#bring" => "/lesson/#{room.id}#bring" }.each do |back, led|
      send_form "/week/#{room.id}/shelf", thing: "set of dominoes", back: back
      expect([back,
              last_response.headers["location"].to_s[%r{/[a-z]+/\d+.*\z}]]).to eq([back, led || "/week/#{room.id}"])
    end
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
