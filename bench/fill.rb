# frozen_string_literal: true

# Fills the database that bin/bench year measures in: the class, and so many others of its size.
require_relative "place"

require_relative "size"

wanted = Integer(ARGV.fetch(1, Size.of("1000", "2")))
Place.open("rungs_bench_many")
require_relative "heard_for_a_year"
room = Year.room
there = DB[:classrooms].count - 1
puts "#{there} other classes are there, #{wanted} are wanted."
((there + 1)..wanted).each_slice(20) do |slice|
  Year.copy(room, slice.first..slice.last)
  $stdout.puts "#{slice.last} classes" if (slice.last % 100).zero?
end
DB.run "ANALYZE"
puts "#{DB[:observations].count} records of #{DB[:classrooms].count} classes."
