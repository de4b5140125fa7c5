# frozen_string_literal: true

# Measures the pages of the class in one database and prints them as JSON, for climb.rb.
require_relative "place"
require_relative "size"
require "json"

WARM = Size.of(10, 1)
TIMES = Size.of(60, 3)

Place.open(ARGV.fetch(0))
ENV["RACK_ENV"] = "production"
require_relative "year"
require_relative "inside"

room = Year.room
child = room.children.first
browser = Inside.new(Inside.app, Records::Account.first(email: Year::EMAIL))

# Every statement of a page, with the rows that its plan really went through.
statements = lambda do |path|
  Statements.of { browser.get(path) }.grep(/\A(SELECT|EXECUTE)/).map do |sql|
    [sql, rows_of(JSON.parse(DB.fetch("EXPLAIN (ANALYZE, FORMAT JSON) #{sql}").single_value!.to_json)[0]["Plan"])]
  end
end

def rows_of(plan)
  own = (plan["Actual Rows"] + plan["Rows Removed by Filter"].to_i) * plan["Actual Loops"]
  own + plan["Plans"].to_a.sum { |each| rows_of(each) }
end

def seconds
  start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  yield
  Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
end

figures = { "class page" => "/climb/#{room.id}",
            "child page" => "/climb/#{room.id}/children/#{child.id}" }.to_h do |name, path|
  WARM.times { browser.get(path) }
  times = Array.new(TIMES) { seconds { browser.get(path) } * 1000 }.sort
  [name, { median: times[TIMES / 2], p95: times[((TIMES - 1) * 0.95).round], plans: statements.call(path) }]
end
puts JSON.generate(figures)
