# frozen_string_literal: true

require "app_helper"
require "capybara/rspec"
require "selenium-webdriver"
require "axe-rspec"
require "tmpdir"

# The last line: one process draws all pages, which takes a quarter less than a new one for each that is opened.
ARGUMENTS = %w[--headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run
               --disable-background-networking --disable-component-update
               --disable-sync --disable-dev-shm-usage --force-prefers-reduced-motion
               --process-per-site --renderer-process-limit=1 --disable-features=BackForwardCache].freeze
PROFILES = [] # rubocop:disable Style/MutableConstant

# Our pages have no frames, so that axe needs no window of its own for them.
Axe::Configuration.instance.legacy_mode = true
Axe::Configuration.instance.skip_iframes = true

# A page that is just being left may answer that a node is not of its document: looked for again, like a stale one.
class PatientDriver < Capybara::Selenium::Driver
  def invalid_element_errors = [*super, Selenium::WebDriver::Error::UnknownError]
end

# The browser keeps the machine's clock, whatever this process is made to believe (faketime).
BELIEVED = { "LD_PRELOAD" => ENV.delete("LD_PRELOAD") }.freeze

Capybara.register_driver(:chromium) do |app|
  profile = Dir.mktmpdir("rungs-chromium").tap { |folder| PROFILES << folder }
  options = Selenium::WebDriver::Chrome::Options.new(binary: "/usr/bin/chromium",
                                                     args: [*ARGUMENTS, "--user-data-dir=#{profile}",
                                                            "--window-size=1280,800"],
                                                     timeouts: { script: 180_000, page_load: 180_000 })
  options.add_option("goog:loggingPrefs", { browser: "ALL" })
  service = Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
  patient = Selenium::WebDriver::Remote::Http::Default.new(open_timeout: 60, read_timeout: 180)
  PatientDriver.new(app, browser: :chrome, options: options, service: service, http_client: patient)
end
at_exit { PROFILES.each { |folder| FileUtils.rm_rf(folder) } }

Capybara.app = APP
Capybara.server = :puma, { Silent: true, Threads: "0:8" }
Capybara.server_host = "127.0.0.1"
Capybara.default_driver = :chromium
Capybara.javascript_driver = :chromium
Capybara.default_max_wait_time = 12
Capybara.enable_aria_label = true

# Which kinds of page were looked at in this run, by whichever of its processes.
module Looked
  FOLDER = File.join(ENV.fetch("RUNGS_VAR"), "looked")

  # @return [Boolean] whether nobody looked at it before
  def self.first?(kind)
    FileUtils.mkdir_p(FOLDER)
    File.open(File.join(FOLDER, Digest::SHA256.hexdigest(kind)), File::WRONLY | File::CREAT | File::EXCL).close
    true
  rescue Errno::EEXIST
    false
  end
end

# What a teacher does in the browser.
module JourneyHelper
  # Signed in without the browser, which is given the cookies and opens the class.
  def enter(account)
    clear_cookies
    sign_in account
    open_with_cookies
  end

  def enter_demo
    clear_cookies
    get "/account/login"
    send_form "/account/demo"
    open_with_cookies
  end

  def open_with_cookies
    rack_mock_session.cookie_jar.for(nil).split("; ").each do |cookie|
      name, value = cookie.split("=", 2)
      page.driver.browser.execute_cdp("Network.setCookie", name: name, value: value, url: page.server_url)
    end
    visit "/"
    expect(page).to have_css("nav.tabs")
  end

  def enter_by_hand(account)
    visit "/account/login"
    fill_in "E-mail", with: account.email
    fill_in "Password", with: AppHelper::PASSWORD
    click_button "Sign in"
    expect(page).to have_css("nav.tabs")
  end

  def press(*keys) = keys.each { |key| page.driver.browser.action.send_keys(key).perform }
  def tap_child(name) = find("[data-child][data-name='#{name}']").click
  def tap_rung(title) = find(".bar", text: title).click

  # What stands under "…" in the line of the lesson.
  def of_lesson(words)
    find(".conduct-more > summary").click
    click_on words
  end

  # WCAG 2.2 AA and best practices, whole page, once a kind of page in a run (accessibility_spec goes through them all;
  # other journeys look at what they opened on one, and at everything in bin/test deep); looked at again a little
  # further down where the strip of names lay over half a button.
  def expect_accessible(page_by_page: false)
    kind, *open = kind_of_page
    return unless page_by_page || open.any? || Depth::DEEP
    return unless Looked.first?([kind, *open].join(" "))

    rules = %i[wcag2a wcag2aa wcag21a wcag21aa wcag22aa best-practice]
    return if be_axe_clean.according_to(*rules).matches?(page)

    page.execute_script("scrollBy(0, 60)")
    expect(page).to be_axe_clean.according_to(*rules)
  end

  # A page with what is open on it, whatever its numbers.
  def kind_of_page
    open = page.evaluate_script("[...document.querySelectorAll('dialog[open], details[open]')].map((e) => e.className)")
    [page.current_path.gsub(/\d+/, "#"), *open]
  end

  # Nothing in the browser complained: no script error, nothing stopped by the policy.
  def complaints
    page.driver.browser.logs.get(:browser).map(&:message).grep_v(/favicon|404|422|htmx:|ERR_INTERNET_DISCONNECTED/)
  end
end

RSpec.configure do |config|
  config.include JourneyHelper, type: :feature
  # On a busy machine a browser may not come up the first time.
  config.before(:suite) do
    tries ||= 0
    Capybara.current_session.driver.browser
  rescue Selenium::WebDriver::Error::WebDriverError, Net::ReadTimeout
    (tries += 1) < 3 ? retry : raise
  end
  # A device that nothing waits on: what an earlier journey left unsent is none of this one's.
  config.before(type: :feature) do
    # One that failed without a connection left the browser so.
    online = { offline: false, latency: 0, downloadThroughput: -1, uploadThroughput: -1 }
    page.driver.browser.execute_cdp("Network.emulateNetworkConditions", **online)
    kept = { origin: page.server_url, storageTypes: "indexeddb" }
    page.driver.browser.execute_cdp("Storage.clearDataForOrigin", **kept)
  end
  config.after(type: :feature) { expect(complaints).to eq([]) }
end
