# frozen_string_literal: true

# Every page and state of a running demo through two checkers: the Nu HTML checker (npm's vnu-jar; it needs Java), and
# axe with its best practices. `npm run check`, with the address where the demo runs, if it is another.
require "json"
require "open3"
require "selenium-webdriver"
require "tmpdir"

# Walks the pages and gathers what the checkers find.
class Check
  ROOM = %w[today plan lesson week find conduct board listen listen/%s/seats climb groups hear back numbers sheets
            sheets/%s/enter search share own own/%s/parts people records].freeze
  OPEN = ["/account", "/account/log", "/account/change-password", "/gallery", "/b/", "/nowhere"].freeze
  SIGNED_OUT = ["/account/login", "/account/create-account", "/b/?code=ABCDEF"].freeze
  JAR = "node_modules/vnu-jar/build/dist/vnu.jar"
  AXE = Dir[File.join(Gem.loaded_specs["axe-core-api"].full_gem_path, "node_modules/axe-core/axe.min.js")].first
  QUIET = %w[--headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking
             --disable-component-update --disable-sync --window-size=1280,900].freeze

  def initialize(base)
    @base = base
    options = Selenium::WebDriver::Options.chrome(binary: "/usr/bin/chromium", args: QUIET)
    service = Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
    @browser = Selenium::WebDriver.for(:chrome, options: options, service: service)
  end

  # @return [Boolean] whether nothing was found
  def run
    Dir.mktmpdir do |folder|
      walk(SIGNED_OUT, folder)
      @browser.get("#{@base}/account/login")
      @browser.find_element(xpath: "//button[contains(.,'Open the demo class')]").click
      Selenium::WebDriver::Wait.new.until { @browser.current_url.include?("/today/") }
      room = @browser.current_url[/\d+\z/]
      begin_lesson(room)
      walk([*OPEN, *pages(room), link(room)], folder)
      [html(folder), axe_found.none?].all?
    end
  ensure
    @browser.quit
  end

  private

  def axe_found = @axe_found ||= []

  # A lesson under way has most to show.
  def begin_lesson(room)
    @browser.get("#{@base}/today/#{room}")
    @browser.find_elements(css: "button[value=start]").first&.click
  end

  # What a substitute is given; the week has a proposal then.
  def link(room)
    press("/week/#{room}", "Propose this week")
    press("/lesson/#{room}", "Make the link")
    @browser.find_element(css: ".address").attribute("href").delete_prefix(@base)
  end

  def press(path, button)
    @browser.get(@base + path)
    @browser.find_elements(xpath: "//button[.='#{button}']").first&.click
  end

  def pages(room)
    child = children(room).first
    places = ROOM.map { |page| "/#{page.sub('%s', room)}#{"/#{room}" unless page.include?('%s')}" }
    [*places, "/account/classes/#{room}", "/back/#{room}?view=term", "/search/#{room}?q=shell",
     "/week/#{room}/term", "/sheets/#{room}?sheet=lesson",
     "/climb/#{room}?families=true", "/climb/#{room}/children/#{child}", "/notes/#{room}/#{child}",
     "/share/#{room}?problem=#{problem(room)}", "/check-in/#{room}/#{child}",
     "/account/classes/#{room}/children/#{child}/erase"]
  end

  def problem(room)
    @browser.get("#{@base}/listen/#{room}")
    @browser.find_element(id: "listen").attribute("data-problem")
  end

  def children(room)
    @browser.get("#{@base}/climb/#{room}")
    @browser.find_elements(css: "th a.name").map { |link| link["href"][/\d+\z/] }
  end

  def walk(paths, folder)
    paths.each do |path|
      @browser.get(@base + path)
      puts "#{path}  #{@browser.title}"
      html = @browser.execute_async_script("fetch(location).then((a) => a.text()).then(arguments[0])")
      File.write(File.join(folder, "#{path.gsub(/\W+/, '_')}.html"), html)
      axe
    end
  end

  def axe
    @browser.execute_script(File.read(AXE))
    told = "axe.run({ resultTypes: ['violations'] }).then((r) => arguments[0](r.violations))"
    @browser.execute_async_script(told).each do |each|
      axe_found << each
      puts "    #{each['id']}: #{each['help']}", each["nodes"].first(2).map { |node| "      #{node['html'][0, 160]}" }
    end
  end

  def html(folder)
    said, status = Open3.capture2e("java", "-jar", JAR, "--errors-only", *Dir["#{folder}/*.html"])
    puts said.gsub("file:#{folder}/", "") unless said.empty?
    status.success?
  end
end

abort "The jar of the checker is missing: npm install" unless File.file?(Check::JAR)
found_nothing = Check.new(ARGV.first || "http://127.0.0.1:4567").run
puts "0 errors by the Nu HTML checker, 0 by axe" if found_nothing
exit found_nothing
