# frozen_string_literal: true

require "app_helper"

# What programs that watch over servers see of one.
RSpec.describe "A server among others" do
  def asked(path, **headers)
    get path, {}, headers
    [last_response.status, last_response.body.strip]
  end

  describe Pages::Shared::Health do
    it "is live and ready, whatever name it is asked by" do
      header "Host", "somewhere.else"
      expect([asked("/health/live"), asked("/health/ready")]).to eq([[200, "live"], [200, "ready"]])
    end

    it "is live and not ready while it ends, while there is no database, and before the tables are as it knows them" do
      allow(Drain).to receive(:begun?).and_return(true)
      expect([asked("/health/live").first, asked("/health/ready")]).to eq([200, [503, "ending"]])
      allow(Drain).to receive(:begun?).and_return(false)
      allow(Database).to receive(:step).and_raise(Sequel::DatabaseConnectionError)
      expect(asked("/health/ready")).to eq([503, "no database"])
      allow(Database).to receive(:step).and_return(Database.latest - 1)
      expect(asked("/health/ready").first).to eq(503)
    end

    it "is ready on tables that a newer version has changed" do
      allow(Database).to receive(:step).and_return(Database.latest + 1)
      expect(asked("/health/ready").first).to eq(200)
    end
  end

  describe Pages::Shared::Measured do
    let(:lines) { [] }
    let(:teacher) { make_teacher }
    let(:app) do
      stub_const("ENV", ENV.to_h.merge("RUNGS_LOG" => "json", "RUNGS_METRICS" => "127.0.0.1:9460"))
      described_class.new(APP, Pages::Places::ALL.keys)
    end

    before { allow($stdout).to receive(:syswrite) { |line| lines << JSON.parse(line) } }

    def counted(**said) = Metrics.text(jobs: {}, behind: nil, **said)

    # What came through a port of this machine.
    def through(port)
      { "puma.socket" => instance_double(TCPSocket, local_address: Addrinfo.tcp("127.0.0.1", port)) }
    end

    it "says a line a request, by its route, with an id and no name, word or code" do
      sign_in teacher[0]
      lines.clear
      get "/climb/#{teacher[1].id}/children/#{teacher[1].children.first.id}?note=Ada"
      expect(lines).to match([include("method" => "GET", "route" => "/climb/:room/children/:child", "status" => 200,
                                      "read" => "primary", "ms" => be > 0, "database_ms" => be > 0,
                                      "request" => match(/\A\h{8}-/))])
      expect(lines.to_s).not_to include("Ada")
      get "/b/ABCDEF"
      expect([lines.last["route"], lines.to_s]).to match([%r{\A/b/:code}, include("/b/:code")])
      expect(lines.to_s).not_to include("ABCDEF")
    end

    it "keeps the id that a known proxy gave, from nobody else" do
      get "/health/live", {}, "HTTP_X_REQUEST_ID" => "a1-b2"
      stub_const("ENV", ENV.to_h.merge("RUNGS_PROXY" => "1"))
      ["a1-b2", "a b", "x" * 65].each { |id| get "/account/login", {}, "HTTP_X_REQUEST_ID" => id }
      expect(lines.map { |line| line["request"] == "a1-b2" }).to eq([false, true, false, false])
    end

    it "counts requests by route and status, their time, and pages that may be read beside" do
      sign_in teacher[0]
      get "/climb/#{teacher[1].id}"
      get "/nothing/here"
      expect(counted).to match(%r{^rungs_requests_total\{route="/climb/:room",status="200"\} 1\.0$})
        .and match(/^rungs_requests_total\{route="other",status="404"\} 1\.0$/)
        .and match(%r{^rungs_request_seconds_count\{route="/climb/:room"\} 1\.0$})
        .and match(/^rungs_database_seconds_count 5\.0$/)
        .and match(/^rungs_reads_total\{from="primary"\} 1\.0$/)
    end

    it "counts taps that waited on their tablet, and no others" do
      Timecop.freeze # however long an answer takes
      sign_in teacher[0]
      posed, child = pose(teacher[1]), teacher[1].children.first
      get "/listen/#{teacher[1].id}"
      [4, 6].each do |ago|
        send_form("/listen/#{teacher[1].id}/records", htmx: true, child_id: child.id, problem_id: posed.id,
                                                      code: "count_on", client_key: SecureRandom.uuid,
                                                      happened_at: (Time.now - ago).iso8601)
      end
      expect([last_response.status, counted[/^rungs_taps_waited_total (\S+)/, 1]]).to eq([200, "1.0"])
    end

    it "tells what it counts, the work beside it and how far the copy is behind at the address for that alone" do
      Records::Job.ask("sheet", { "a" => 1 }, account_id: teacher[0].id)
      expect(asked("/metrics", **through(9460)).last).to match(/^rungs_jobs\{state="waiting"\} [1-9]/)
      expect(asked("/metrics", **through(4600)).first).not_to eq(200)
      expect(asked("/account/login", **through(9460)).first).to eq(404)
      expect(counted(behind: 1.5)).to match(/^rungs_standby_behind_seconds 1\.5$/)
    end

    it "says of a class whose time is over which it is, by its number" do
      step = Records::LettingGo::Step.new(room: teacher[1], does: "names were removed")
      allow(Records::LettingGo).to receive(:call).and_return([step])
      allow(Records::Copy).to receive(:due?).and_return(false)
      app
      Jobs::Worker.new.send(:night_work)
      expect(lines).to match([include("classroom" => teacher[1].id, "says" => "names were removed")])
      expect(lines.to_s).not_to include(teacher[1].name)
    end

    it "says of an error its kind and place, with the request's id" do
      allow(Pages::Climb::Page).to receive(:new).and_raise(ArgumentError, "Ada said so")
      sign_in teacher[0]
      lines.clear
      get "/climb/#{teacher[1].id}"
      expect([last_response.status, lines.map { |line| line["error"] }]).to eq([500, ["ArgumentError", nil]])
      expect(lines.map { |line| line["request"] }.uniq.size).to eq(1)
      expect(lines.to_s).not_to include("Ada")
    end
  end
end
