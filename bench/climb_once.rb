# frozen_string_literal: true

# Measures the pages of the class in one database and prints them as JSON, for climb.rb.
require_relative "place"
require "json"

Place.open(ARGV.fetch(0))
ENV["RACK_ENV"] = "production"
require_relative "year"
require "bcrypt"
require "rack/test"

LOADER.eager_load
app = Rack::Builder.parse_file(File.expand_path("../config.ru", __dir__))
room = Year.room
child = room.children.first
account = Records::Account.first(email: Year::EMAIL)

# A signed-in browser.
hash = BCrypt::Password.create("a year of records", cost: 4)
DB[:account_password_hashes].insert_conflict(target: :id, update: { password_hash: hash })
                            .insert(id: account.id, password_hash: hash)
browser = Rack::Test::Session.new(Rack::MockSession.new(app, "127.0.0.1"))
token = browser.get("/account/login").body[/name="csrf-token" content="([^"]+)"/, 1]
browser.post("/account/login", email: Year::EMAIL, password: "a year of records", authenticity_token: token)
get = lambda do |path|
  response = browser.get(path)
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
