# frozen_string_literal: true

require "journey_helper"

RSpec.describe "Nothing is lost", type: :feature do
  let(:teacher) { make_teacher(children: %w[Ada Bo Cleo Dag Eda]) }
  let(:room) { teacher[1] }
  let(:posed) { pose(room) }
  let(:port) { TCPServer.new("127.0.0.1", 0).then { |server| server.addr[1].tap { server.close } } }
  let(:servers) { [] }
  let(:address) { "http://127.0.0.1:#{port}" }

  # A server process of its own, to be killed.
  def start_server
    environment = { "RUNGS_PORT" => port.to_s, "RUNGS_HOST" => "127.0.0.1", **BELIEVED }
    servers << spawn(environment, "bundle", "exec", "puma", "-C", "config/puma.rb", chdir: Rungs::ROOT,
                                                                                    out: File::NULL, err: File::NULL)
    Timeout.timeout(60) { sleep 0.1 until listening? }
  end

  def listening?
    TCPSocket.new("127.0.0.1", port).close
    true
  rescue Errno::ECONNREFUSED
    false
  end

  def kill_server
    servers.pop.tap { |pid| Process.kill(:KILL, pid) && Process.wait(pid) }
  end

  after do
    kill_server while servers.any?
    online
    page.execute_script("indexedDB.deleteDatabase('rungs')")
  end

  def tap(from, to) = (from..to).each { |index| press %w[a b c d e][index % 5], ((index % 5) + 1).to_s }

  def offline = page.driver.browser.network_conditions = { offline: true, latency: 0, throughput: 0 }
  def online = page.driver.browser.delete_network_conditions
  def records = room.observations_dataset

  def await(seconds = 20, &)
    Timeout.timeout(seconds) { sleep 0.1 until yield }
  end

  def sign_out
    visit "/account"
    within("main") { click_button "Sign out", match: :first }
    expect(page).to have_css("#waiting-note", visible: :all)
  end

  # The server is a process of its own, with the machine's own clock.
  it "keeps 40 records through a killed server and a reloaded tab: right times, none twice", :deep do
    Timecop.return
    posed
    start_server
    visit "#{address}/account/login"
    fill_in "E-mail", with: teacher[0].email
    fill_in "Password", with: AppHelper::PASSWORD
    click_button "Sign in"
    expect(page).to have_css("nav.tabs")
    visit "#{address}/listen/#{room.id}?problem=#{posed.id}"
    expect(page).to have_css(".bar", count: 5)
    Timeout.timeout(20) do
      sleep 0.2 until page.evaluate_async_script("caches.open('rungs-pages').then(c => c.keys()).then(k => " \
                                                 "arguments[0](k.length))").positive?
    end

    began = Time.now
    tap(1, 14)
    kill_server
    tap(15, 28)
    expect(page).to have_css("#trouble", text: /taps? (is|are) waiting: no connection/)
    expect(page).to have_css(".child.is-waiting")
    middle = Time.now
    sleep 1.2
    visit "#{address}/listen/#{room.id}?problem=#{posed.id}"
    expect(page).to have_css(".bar", count: 5)
    expect(page).to have_css("#trouble", text: "waiting")
    tap(29, 40)
    ended = Time.now
    start_server

    expect(page).to have_no_css("#trouble", visible: :visible, wait: 30)
    Timeout.timeout(30) { sleep 0.2 until room.observations_dataset.count >= 40 }
    sleep 1
    rows = room.observations_dataset.order(:happened_at).all
    expect(rows.size).to eq(40)
    expect(rows.map(&:client_key).uniq.size).to eq(40)
    expect(rows.map(&:rung)).to eq((1..40).map { |index| (index % 5) + 1 })
    expect(rows.map { |row| row.child.name }).to eq((1..40).map { |index| %w[Ada Bo Cleo Dag Eda][index % 5] })
    expect(rows.first.happened_at).to be_between(began - 1, middle)
    expect(rows[27].happened_at).to be <= middle
    expect(rows[28].happened_at).to be > middle
    expect(rows.last.happened_at).to be <= ended
    page.driver.browser.logs.get(:browser)
  end

  it "keeps one teacher's taps on a shared tablet from the next, who neither sends, loses nor sees them", :deep do
    other, others_room = make_teacher(children: %w[Faye])
    enter(teacher[0])
    visit "/listen/#{room.id}?problem=#{posed.id}"
    offline
    tap(1, 3)
    expect(page).to have_css("#trouble", text: "3 taps are waiting")
    page.driver.browser.manage.delete_all_cookies
    online
    visit "/account/login"
    expect(page).to have_css("#waiting-note", text: "3 taps wait on this device. They are kept, and sent when who " \
                                                    "tapped signs in here.")
    expect_accessible
    enter(other)
    expect(page).to have_css("#others-waiting", text: "3 taps of another teacher wait here.")
    visit "/listen/#{others_room.id}?problem=#{pose(others_room, [4, 3]).id}"
    tap_child "Faye"
    tap_rung "Count all"
    await { others_room.observations_dataset.count == 1 }
    expect([records.count, page]).to match([0, have_no_css("#refused", visible: :visible)])
    sign_out
    enter(teacher[0])
    await { records.count == 3 }
    expect(records.select_map(:account_id).uniq).to eq([teacher[0].id])
    visit "/account"
    expect(page).to have_text("this one")
    expect_accessible
    complaints
  end

  it "lists what could not be kept, with the reason, to be sent again or let go", :deep do
    enter(teacher[0])
    visit "/listen/#{room.id}?problem=#{posed.id}"
    offline
    press "c", "1", "b", "2", "3"
    expect(page).to have_css("#trouble", text: "3 taps are waiting")
    gone = room.children.find { |child| child.name == "Bo" }
    Records::Erasing.new(gone).call
    online
    expect(page).to have_css("#refused", text: "2 taps could not be kept")
    within("#refused") do
      expect(page).to have_css("li", count: 1, text: "Bo: count on, 9 + 5 = □ (and 1 more of it): That is not there")
    end
    expect(find("#refused").text).not_to match(/nothing/i)
    expect_accessible
    await { records.count == 1 }
    click_button "Send again"
    expect(page).to have_css("#refused li", count: 1)
    visit "/today/#{room.id}"
    expect(page).to have_css("#refused", text: "2 taps could not be kept")
    click_button "Let go"
    expect(page).to have_no_css("#refused", visible: :visible)
    expect(page.evaluate_async_script(<<~JS)).to eq(0)
      indexedDB.open("rungs").onsuccess = (e) => {
        e.target.result.transaction("taps").objectStore("taps").count().onsuccess = (c) => arguments[0](c.target.result);
      };
    JS
    complaints
  end

  it "takes the server's time for a tap, however wrong the tablet's clock is, and once it is offline too", :deep do
    enter(teacher[0])
    [-30 * 365 * 86_400_000, 7_200_000, 40 * 86_400_000].each do |wrong|
      script = "window.wrong = #{wrong}; { const D = Date; Date = class extends D { constructor(...a) { a.length ? " \
               "super(...a) : super(D.now() + wrong) } static now() { return D.now() + wrong } } }"
      added = page.driver.browser.execute_cdp("Page.addScriptToEvaluateOnNewDocument", source: script)
      visit "/listen/#{room.id}?problem=#{posed.id}"
      offline
      tapped = Time.now
      tap(1, 1)
      expect(page).to have_css("#trouble", text: "1 tap is waiting")
      Timecop.travel(Time.now + 600)
      page.execute_script("window.wrong += 600000")
      had = records.count
      online
      await { records.count == had + 1 }
      expect(records.order(:id).last.happened_at).to be_within(6).of(tapped)
      page.driver.browser.execute_cdp("Page.removeScriptToEvaluateOnNewDocument", **added.transform_keys(&:to_sym))
    end
    complaints
  end

  it "shows on each of two devices whom the other heard, within moments, and one answer heard by both as such" do
    enter(teacher[0])
    visit "/listen/#{room.id}?problem=#{posed.id}"
    Capybara.using_session(:second) do
      enter(teacher[0])
      visit "/listen/#{room.id}?problem=#{posed.id}"
      expect(page).to have_css(".bar", count: 5)
    end
    sleep 0.5
    tap_child "Ada"
    tap_rung "Count on"
    expect(page).to have_css("#log tr", count: 1)
    Capybara.using_session(:second) do
      expect(page).to have_css("[data-name=Ada] .tick")
      expect(page).to have_css("#log tr", text: "count on")
      tap_child "Ada"
      tap_rung "Make ten"
      expect(page).to have_css(".twice-too", text: "Heard twice here: count on too")
      expect_accessible
    end
    expect(page).to have_css("#log .twice", count: 2)
    Capybara.using_session(:second) { click_button "Undo that one" }
    expect(page).to have_no_css("#log .twice")
    expect(records.standing.select_map(:code)).to eq(["make_ten"])
  end

  it "leaves nothing of a lesson on the device once somebody has signed out", :deep do
    part = room.start_lesson(room.today).course.plan("twins")
    room.lesson_on(room.today).course.go(part)
    kept = "caches.open('rungs-pages').then(c => c.keys()).then(k => arguments[0](k.map(r => r.url)))"
    enter(teacher[0])
    visit "/conduct/#{room.id}"
    await { page.evaluate_async_script(kept).grep(%r{/conduct/#{room.id}\b}).size == 2 }
    expect(page.evaluate_async_script(kept)).to include(%r{/#{room.id}/kept\?v=})
    sign_out
    expect(page.evaluate_async_script(kept)).to eq([])
    visit "/conduct/#{room.id}"
    expect(page).to have_css("#waiting-note", visible: :all)
  end
end
