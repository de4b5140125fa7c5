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
    environment = { "RUNGS_PORT" => port.to_s, "RUNGS_HOST" => "127.0.0.1" }
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

  after { kill_server while servers.any? }

  def tap(from, to) = (from..to).each { |index| press %w[a b c d e][index % 5], ((index % 5) + 1).to_s }

  it "keeps 40 records through a killed server and a reloaded tab: right times, none twice" do
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

  it "says at the sign-in page how many taps wait on the device, and sends them once somebody signed in" do
    enter(teacher[0])
    visit "/listen/#{room.id}?problem=#{posed.id}"
    page.driver.browser.network_conditions = { offline: true, latency: 0, throughput: 0 }
    tap(1, 3)
    expect(page).to have_css("#trouble", text: "3 taps are waiting")
    page.driver.browser.manage.delete_all_cookies
    page.driver.browser.delete_network_conditions
    visit "/account/login"
    expect(page).to have_css("#waiting-note", text: "3 taps wait on this device. They are kept; signing in sends them.")
    expect_accessible
    enter(teacher[0])
    Timeout.timeout(20) { sleep 0.2 until room.observations_dataset.count == 3 }
    visit "/account"
    expect(page).to have_text("this one")
    expect_accessible
    complaints
  end
end
