# frozen_string_literal: true

# Every page of a class of 30 with a year of answers, as each of its people: milliseconds in the server, statements and
# rows, alone in a database and among others of its size (bin/bench fill N makes them); those over a ceiling by name.
require_relative "place"
require_relative "measure"
require "json"
require "open3"

# Milliseconds at p95, on pages where a lesson stands and on others; statements; rows. Of files only the first.
QUICK = 60
CEILING = 100
STATEMENTS = Hash.new(30).merge("week" => 40)
ROWS = 2000
LESSON = %w[today conduct listen board].freeze
AMONG = 1.1

def measured(database)
  program = ["ruby", *Place::YJIT.split, File.join(__dir__, "year_once.rb")]
  out, err, status = Open3.capture3("bundle", "exec", *program, database)
  abort err unless status.success?
  JSON.parse(out.lines.last)
end

# @return [Array<String>] what of a page is over its ceiling
def over(path, page)
  tab = path[%r{\A/([\w-]+)}, 1]
  most = LESSON.include?(tab) ? QUICK : CEILING
  [("p95 #{page['p95'].round} ms of #{most}" if page["p95"] > most),
   ("#{page['statements']} statements of #{STATEMENTS[tab]}" if page["statements"] > STATEMENTS[tab]),
   ("#{page['rows']} rows of #{ROWS}" if page["rows"] > ROWS && !page["file"])].compact
end

cluster = Cluster.new(File.join(Place::FOLDER, "postgres"))
running = cluster.running?
cluster.start("rungs_bench_one")
cluster.start("rungs_bench_many")
alone = measured("rungs_bench_one")
among = Size.small? ? alone : measured("rungs_bench_many")
cluster.stop unless running

measure = Measure.new
empty = alone["pages"]["teacher"].values.map { |page| page["median"] }.min
puts "the emptiest page: #{empty.round(1)} ms; memory: #{alone['memory']} MB"
alone["pages"].each do |role, pages|
  named = pages.to_h { |path, page| [path, over(path, page)] }
  named.each { |path, words| puts "#{role} #{path}: #{words.join(', ')}" if words.any? }
  measure.figure("#{role}, pages over a ceiling, of #{pages.size}", named.values.count(&:any?), "pages", ceiling: 0)
  slowest, page = pages.reject { |_, each| each["file"] }.max_by { |_, each| each["p95"] }
  measure.figure("#{role}, the slowest page, #{slowest}", page["p95"] / empty, "times the emptiest")
  ratios = pages.map { |path, each| among["pages"][role][path].fetch("median") / each["median"] }.sort
  measure.figure("#{role}, among others, median of pages", ratios[ratios.size / 2], "times alone", ceiling: AMONG)
end
measure.finish
