# frozen_string_literal: true

require "open3"
require "selenium-webdriver"
require "tmpdir"
require_relative "../../bench/disturbed"
require_relative "where_it_is"

# A whole district on this machine while teachers record:  bin/test district
RSpec.describe "bin/district" do
  before(:all) do
    @whole = Whole.new
    @disturbed = Disturbed.new(whole)
  end

  after(:all) { whole&.end }
  before { whole.await("the district") { whole.whole? } }

  attr_reader :whole, :disturbed

  # Nothing that was acknowledged is lost or there twice.
  def kept(noticed, gap:)
    expect([noticed.lost, noticed.doubled, noticed.keys.size]).to match([0, 0, be > 20])
    expect(noticed.gap).to be < gap
    noticed
  end

  it "loses no tap with a killed server, and its boards follow again at once" do
    expect(kept(disturbed.server_killed, gap: 5).board).to be < 5
  end

  it "loses none of 2,000 records with the database that leads, and goes on in half a minute" do
    kept(disturbed.primary_killed(least: 2000), gap: 30)
  end

  it "loses none with the pool of sessions" do
    kept(disturbed.pool_killed, gap: 10)
  end

  it "loses none with a standby that is cut off, and goes on" do
    kept(disturbed.standby_cut_off, gap: 15)
  end

  it "fails no request while its servers are changed one after the other" do
    expect(kept(disturbed.restarted, gap: 5).failed).to eq([])
  end

  it "goes on without what decides who leads" do
    expect(kept(disturbed.etcd_lost, gap: 5).failed).to eq([])
  end

  it "comes back from a copy in a cluster of its own, complete" do
    keys = kept(disturbed.pool_killed, gap: 10).keys
    expect(disturbed.restored(keys)).to eq(keys.to_h { |key| [key, 1] })
  end

  describe "reading beside" do
    # @return [Hash{String => Float}] pages read so far, by where from
    def reads
      whole.names("server").map { |name| Net::HTTP.get("127.0.0.1", "/metrics", whole.port_of(name, "metrics")) }
           .flat_map { |text| text.scan(/^rungs_reads_total\{from="(\w+)"\} (\S+)/) }
           .each_with_object(Hash.new(0)) { |(from, many), all| all[from] += many.to_f }
    end

    # Those that follow show what they get so many seconds late, by what watches over them.
    def hold_back(delay)
      whole.configure("postgresql" => { "recovery_conf" => { "recovery_min_apply_delay" => delay } })
      whole.await("standbys held back by #{delay}") { delays == [delay] * 2 }
    end

    def delays
      followers = whole.names("patroni").reject { |name| whole.role(name) == "leader" }
      followers.map { |name| whole.ask_database(name, "SHOW recovery_min_apply_delay") }
    end

    after { hold_back("0") }

    it "never forgets a tap that was just made, whoever made it, with standbys ten seconds behind" do
      teacher = Tapper.new(whole.port, secure: true).start_class
      helper = Tapper.new(whole.port, secure: true).join(teacher)
      answers = -> { teacher.get("/records/#{teacher.room.id}/answers.jsonl").lines.size }
      kept = -> { teacher.room.observations_dataset.count }
      hold_back("10s")
      before = reads
      40.times do
        rand(1..3).times { [teacher, helper].sample.timed_tap }
        expect(answers.call).to eq(kept.call)
        expect(teacher.get("/climb/#{teacher.room.id}")).to include("Child 3")
      end
      expect(reads["primary"] - before["primary"]).to be >= 80
      sleep 12
      now = reads
      expect([answers.call, reads["standby"] - now["standby"]]).to eq([kept.call, 1])
    end
  end

  it "reads the database that leads, without a wait, while no other is there" do
    teacher = Tapper.new(whole.port, secure: true).start_class
    followers = whole.names("patroni").reject { |name| whole.role(name) == "leader" }
    4.times { teacher.get("/climb/#{teacher.room.id}") }
    followers.each do |name|
      whole.signal(:STOP, whole.part(name)["pid"])
      whole.signal(:KILL, whole.postgres(name))
    end
    answers = Array.new(10) { sleep(0.5) && teacher.ask("GET", "/climb/#{teacher.room.id}", nil) }
    expect([answers.map(&:first).uniq, answers.map(&:last).max]).to match([[200], be < 3])
  ensure
    followers.to_a.each { |name| whole.signal(:KILL, whole.part(name)["pid"]) }
  end

  describe "on a tablet" do
    let(:profile) { Dir.mktmpdir("rungs-chromium") }
    let(:browser) do
      arguments = %w[--headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-sync
                     --disable-background-networking --disable-component-update --disable-dev-shm-usage]
      options = Selenium::WebDriver::Chrome::Options.new(
        binary: "/usr/bin/chromium", args: [*arguments, "--user-data-dir=#{profile}"], accept_insecure_certs: true
      )
      service = Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
      Selenium::WebDriver.for(:chrome, options: options, service: service)
    end

    after do
      browser.quit
      FileUtils.rm_rf(profile)
    end

    def shown(css) = browser.find_elements(css: css).select(&:displayed?).map(&:text).join

    it "says that taps wait while no database leads, and sends them when one does" do
      tapper = Tapper.new(whole.port, secure: true).start_class
      address = "https://127.0.0.1:#{whole.port}"
      browser.get("#{address}/account/login")
      browser.find_element(name: "email").send_keys(tapper.teacher.email)
      browser.find_element(name: "password").send_keys(Tapper::PASSWORD, :enter)
      whole.await("the class") { browser.current_url.include?("/today/") }
      browser.get("#{address}/listen/#{tapper.room.id}?problem=#{tapper.posed.id}")
      led = whole.of_role("leader")
      whole.signal(:STOP, whole.part(led)["pid"])
      whole.signal(:KILL, whole.postgres(led))
      browser.find_element(css: ".child").click
      browser.find_elements(css: ".bar").first.click
      whole.await("a word that it waits") { shown("#trouble").include?("waiting") }
      whole.await("its end", 60) { shown("#trouble") == "" }
      expect(disturbed.there(DB[:observations].where(classroom_id: tapper.room.id).select(:client_key)).size).to eq(1)
    ensure
      whole.signal(:KILL, whole.part(led)["pid"]) if led
    end
  end
end
