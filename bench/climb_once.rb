# frozen_string_literal: true

# Measures the pages of the class in one database and prints them as JSON, for climb.rb.
require_relative "place"
require "json"

Place.open(ARGV.fetch(0))
ENV["RACK_ENV"] = "production"
require_relative "year"
require "rack/mock"
require "rack/session"

LOADER.eager_load
app = Rack::Builder.parse_file(File.expand_path("../config.ru", __dir__))
room = Year.room
child = room.children.first
account = Records::Account.first(email: Year::EMAIL)

# A signed-in browser's cookie.
session = { "account_id" => account.id, "authenticated_by" => ["password"] }
store = Rack::Session::Cookie.new(->(_) {}, key: "rungs.session", secret: Settings.session_secret)
cookie = store.send(:encryptors).first.encrypt({ "session_id" => "0" * 64 }.merge(session))
get = lambda do |path|
  response = Rack::MockRequest.new(app).get(path, "HTTP_COOKIE" => "rungs.session=#{Rack::Utils.escape(cookie)}",
                                                  "HTTP_HOST" => "127.0.0.1")
  abort "#{path} answered #{response.status} #{response.headers['location']}" unless response.status == 200
end

# What goes to the database; one that was planned before, by its name.
SEEN = [] # rubocop:disable Style/MutableConstant
DB.extend(Module.new do
  def log_connection_yield(sql, conn, args = nil)
    name = sql[/\AEXECUTE \w+/]
    SEEN << (name ? "#{name}(#{args.map { |each| literal(each) }.join(', ')})" : sql)
    super
  end
end)

# Every statement of a page, with the rows that its plan really went through.
statements = lambda do |path|
  SEEN.clear
  get.call(path)
  SEEN.grep(/\A(SELECT|EXECUTE)/).map do |sql|
    [sql, rows_of(JSON.parse(DB.fetch("EXPLAIN (ANALYZE, FORMAT JSON) #{sql}").single_value!.to_json)[0]["Plan"])]
  end
end

def rows_of(plan)
  own = (plan["Actual Rows"] + plan["Rows Removed by Filter"].to_i) * plan["Actual Loops"]
  own + plan["Plans"].to_a.sum { |each| rows_of(each) }
end

figures = { "class page" => "/climb/#{room.id}",
            "child page" => "/climb/#{room.id}/children/#{child.id}" }.to_h do |name, path|
  10.times { get.call(path) }
  times = Array.new(60) do
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    get.call(path)
    (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) * 1000
  end
  [name, { median: times.sort[30], p95: times.sort[56], plans: statements.call(path) }]
end
puts JSON.generate(figures)
