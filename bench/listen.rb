# frozen_string_literal: true

# Thirty teachers record at once, over HTTP to a real server: each a tap a second, how long until the record is kept and
# the page is told; then each as fast as it is answered, how many a second, with one process and with two. Beside both,
# in the same run, the same requests to Puma and Sequel that only write one row. How many statements a record takes, and
# how much processor time.
require_relative "place"
require_relative "measure"

TEACHERS = Size.of(30, 2)
SECONDS = Size.of(20, 2)

Place.open
require_relative "inside"
require_relative "tapper"

# @return [Float] records a second
def throughput(tappers, times)
  start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  Tapper.together(tappers) { |tapper| tapper.hurriedly(times) }
  tappers.size * times / (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start)
end

# @return [Array<String>] what one record sends to the database
def statements(tapper)
  browser = Inside.new(Inside.app, tapper.teacher)
  20.times { browser.post(*tapper.next_tap, "HTTP_HX_REQUEST" => "true") } # planned on every connection
  Statements.of { browser.post(*tapper.next_tap, "HTTP_HX_REQUEST" => "true") }
end

DB.create_table?(:bare_rows) { primary_key :id; String :body } # rubocop:disable Style/Semicolon
bare_port = Place.serve("-b", "tcp://127.0.0.1:PORT", "-t", "5:5", "-e", "production", "bench/bare.ru")
port = Place.serve("-C", "config/puma.rb", "bench/timed.ru")
tappers = Array.new(TEACHERS) { Tapper.new(port).start_class }
bare_tappers = Array.new(TEACHERS) { Tapper::Bare.new(bare_port) }

[tappers, bare_tappers].each { |these| throughput(these, SECONDS) } # so that all is loaded
waited = Tapper.together(tappers) { |tapper| tapper.calmly(SECONDS) }
times = tappers.flat_map { |tapper| tapper.server.last(SECONDS) }
bare = Tapper.together(bare_tappers) { |tapper| tapper.calmly(SECONDS) }
before = Place.processor_time
most = throughput(tappers, SECONDS)
processor = (Place.processor_time - before) / (TEACHERS * SECONDS)
bare_most = throughput(bare_tappers, SECONDS)

sent = statements(tappers.last)

# As many taps, of two people in each of half as many classes.
firsts = tappers.first([TEACHERS / 2, 1].max)
seconds = firsts.map { |tapper| Tapper.new(port).join(tapper) }
Tapper.together(firsts + seconds) { |tapper| tapper.calmly([SECONDS / 4, 1].max) }
alone = Tapper.together(tappers) { |tapper| tapper.calmly(SECONDS) }
two = Tapper.together(firsts + seconds) { |tapper| tapper.calmly(SECONDS) }
more = firsts.size * (SECONDS + [SECONDS / 4, 1].max) * 2
# With those that were sent to count what is sent.
made = (tappers.size * SECONDS * 4) + more + 21
kept = DB[:observations].where(classroom_id: tappers.map { |tapper| tapper.room.id }, replaces_id: nil).count
abort "#{kept} records were kept of #{made}" unless kept == made
two_port = Place.serve("-C", "config/puma.rb", "bench/timed.ru", workers: 2)
pairs = Array.new(TEACHERS) { Tapper.new(two_port).start_class }
2.times { throughput(pairs, SECONDS) }
two_most = throughput(pairs, SECONDS)

measure = Measure.new
puts sent.map { |sql| "  #{sql[0, 110]}" } if sent.size > 6
measure.figure("statements a record", sent.size, "", ceiling: 6)
measure.figure("processor time a record", processor * 1000, "ms", ceiling: 3.5)
measure.figure("record, median", percentile(times, 0.5), "ms")
measure.figure("record, p95", percentile(times, 0.95), "ms", ceiling: 10)
measure.figure("record as the tablet waits for it, median", percentile(waited, 0.5), "ms")
measure.figure("record as the tablet waits for it, p95", percentile(waited, 0.95), "ms")
measure.figure("record ratio, median", percentile(waited, 0.5) / percentile(bare, 0.5), "times a bare row")
measure.figure("record ratio, p95", percentile(waited, 0.95) / percentile(bare, 0.95), "times a bare row")
measure.figure("a record with two people a class, median", percentile(two, 0.5) / percentile(alone, 0.5), "times one's",
               ceiling: 1.1)
measure.figure("records at most", most, "a second")
measure.figure("records at most, ratio", most / bare_most, "of bare rows", floor: 0.4)
measure.figure("records at most with two processes", two_most, "a second")
measure.figure("two processes", two_most / most, "times one", floor: 1.4)
DB[:classrooms].where(id: [*tappers, *pairs].map { |tapper| tapper.room.id }).delete
measure.finish
