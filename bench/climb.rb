# frozen_string_literal: true

# The pages of a class of 30 with a year of records: server time alone in a database, and among 1000 others of the size.
require_relative "place"
require_relative "measure"
require "json"
require "open3"

CEILINGS = { "class page" => 30, "child page" => 30 }.freeze

# The server is started once and used by both.
cluster = Cluster.new(File.join(Place::FOLDER, "postgres"))
running = cluster.running?
cluster.start("rungs_bench_one")
cluster.start("rungs_bench_many")
alone, among = %w[rungs_bench_one rungs_bench_many].map do |database|
  out, err, status = Open3.capture3("bundle", "exec", "ruby", File.join(__dir__, "climb_once.rb"), database)
  abort err unless status.success?
  JSON.parse(out.lines.last)
end
others = Open3.capture2("bundle", "exec", "ruby", "-e",
                        "require 'sequel'; print Sequel.connect(ARGV[0])[:classrooms].count - 1", cluster
                          .owner_url("rungs_bench_many")).first.to_i
cluster.stop unless running

measure = Measure.new
CEILINGS.each do |page, ceiling|
  measure.figure("#{page}, median", alone[page]["median"], "ms")
  measure.figure("#{page}, p95", alone[page]["p95"], "ms", ceiling: ceiling)
  measure.figure("#{page} among #{others} other classes, p95", among[page]["p95"], "ms")
  measure.figure("#{page} among others, median", among[page]["median"] / alone[page]["median"], "times alone",
                 ceiling: 1.1)
  among[page]["plans"].each { |sql, rows| puts "  #{rows} rows: #{sql.gsub(/\s+/, ' ')[0, 110]}" }
end
warn "run bin/bench fill first to measure among 1000 others" if others < 1000
measure.finish
