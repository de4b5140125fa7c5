# frozen_string_literal: true

# How long a copy takes and how large it is, made and tried by restoring, at so many classes heard for a year (1 and 100
# unless other numbers are given; 1000 are about 15 GB); and how long a record takes while one is made.
require_relative "place"
require_relative "measure"

wanted = ARGV.drop(1).map { |number| Integer(number) }
wanted = Size.small? ? [1, 2] : [1, 100] if wanted.empty?

Place.open("rungs_bench_copies")
require_relative "heard_for_a_year"
require_relative "tapper"
require_relative "../config/backups"

SECONDS = Size.of(20, 1)
TEACHERS = Size.of(30, 2)
folder = File.join(Place::FOLDER, "copies")
backups = Backups.new(folder, ENV.fetch("DATABASE_URL"), sealed: Backups::Sealed.new(recipient: nil))
clock = -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) }
timed = ->(work) { clock.call.then { |start| [work.call, clock.call - start] } }

measure = Measure.new
room = Year.room
wanted.sort.each do |many|
  there = DB[:classrooms].count
  ((there + 1)..many).each_slice(20) { |slice| Year.copy(room, slice.first..slice.last) }
  DB.run "ANALYZE"
  made, seconds = timed.call(-> { backups.make })
  measure.figure("a copy of #{many} classes, made and tried", seconds, "s")
  measure.figure("a copy of #{many} classes", made.bytes / (1024.0**2), "MB")
end

port = Place.serve("-C", "config/puma.rb", "bench/timed.ru")
tappers = Array.new(TEACHERS) { Tapper.new(port).start_class }
Tapper.together(tappers) { |tapper| tapper.calmly(SECONDS) }
before = Tapper.together(tappers) { |tapper| tapper.calmly(SECONDS) }
copying = spawn("bundle", "exec", "ruby", "-I#{__dir__}", "-e", <<~RUBY, ENV.fetch("DATABASE_URL"), folder)
  require "bundler/setup"
  require "#{File.expand_path('../config/backups', __dir__)}"
  Process.setpriority(Process::PRIO_PROCESS, 0, 10)
  Backups.new(ARGV[1], ARGV[0], sealed: Backups::Sealed.new(recipient: nil)).make
RUBY
during = []
loop do
  during.concat(Tapper.together(tappers) { |tapper| tapper.calmly(Size.of(5, 1)) })
  break if Process.wait(copying, Process::WNOHANG)
end
measure.figure("a record, median", percentile(before, 0.5), "ms")
measure.figure("a record while a copy is made, median", percentile(during, 0.5), "ms")
measure.figure("a record while a copy is made", percentile(during, 0.5) / percentile(before, 0.5), "times its median",
               ceiling: 2)
DB[:classrooms].where(id: tappers.map { |tapper| tapper.room.id }).delete
FileUtils.rm_rf(folder)
measure.finish
