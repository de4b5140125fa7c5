# frozen_string_literal: true

# Kills the server, the database or both at random, as bin/start watches over them, while teachers record: how many
# acknowledged records are lost or kept twice (none), and how long it takes until the next is taken. Before that: how
# long a tap takes while ten large sheets are drawn, beside how long it takes by itself.
require "tmpdir"
require_relative "place"
require_relative "measure"

WANTED = Size.of(2000, 40)
TEACHERS = Size.of(8, 2)
# Seconds between two kills; after one, the next waits until a record was taken again.
PAUSE = (0.1..1.0)

port = Place.watched
require_relative "patient"

tappers = Array.new(TEACHERS) { PatientTapper.new(port).start_class }
# @return [Float] milliseconds of a tap in the middle, each teacher one after the other, for as long as the block wants
def median_tap(tappers)
  times = tappers.map do |tapper|
    Thread.new do
      taps = [tapper.timed_tap]
      taps << tapper.timed_tap while yield(taps.size)
      taps
    end
  end
  percentile(times.flat_map(&:value), 0.5)
end

def drawing? = Records::Job.unfinished.any?

SHEETS = Size.of(10, 2)
large = "/sheets/%d/sheet.pdf?sheet=practice&activity=hidden_beads&copies=40&answers=true&per_page=8&large=true"
askers = Array.new(SHEETS) { Tapper.new(port).start_class }
2.times { median_tap(tappers) { |taps| taps < 20 } }
alone = median_tap(tappers) { |taps| taps < Size.of(60, 5) }
askers.each { |asker| asker.get(format(large, asker.room.id)) }
beside = median_tap(tappers) { drawing? }
made = Records::Job.where(state: "ready").count
abort "#{made} sheets were made of #{SHEETS}" unless made >= SHEETS

kept, waited, clock = Queue.new, [], -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) }
recording = tappers.map { |tapper| Thread.new { kept << tapper.keep_one while kept.size < WANTED } }
kills = Hash.new(0)
while kept.size < WANTED
  sleep rand(PAUSE)
  what, processes = Place.victims.to_a.sample
  start, before = clock.call, kept.size
  Process.kill(:KILL, *processes)
  kills[what] += 1
  # What was under way may still be answered; from then on nothing is until it is back.
  sleep 0.02 until (clock.call - start > 0.3 && kept.size > before + TEACHERS) || kept.size >= WANTED
  waited << (clock.call - start)
end
recording.each(&:join)
# @return [Hash{String => Integer}] how often each is there; the last kill may have been just now
def counted(keys)
  DB[:observations].where(client_key: keys).select_map(:client_key).tally
rescue Sequel::DatabaseConnectionError, Sequel::DatabaseDisconnectError
  sleep 0.5
  retry
end

keys = Array.new(kept.size) { kept.pop }
rows = counted(keys)
measure = Measure.new
measure.figure("a tap by itself, median", alone, "ms")
measure.figure("a tap while #{SHEETS} large sheets are drawn, median", beside, "ms")
measure.figure("a tap beside sheets", beside / alone, "times by itself", ceiling: 2)
measure.figure("acknowledged records", keys.size, "records", floor: WANTED)
kills.each { |what, times| measure.figure("#{what} killed", times, "times") }
measure.figure("lost", keys.count { |key| !rows.key?(key) }, "records", ceiling: 0)
measure.figure("kept twice", rows.values.count { |times| times > 1 }, "records", ceiling: 0)
measure.figure("until records are taken again, median", waited.sort[waited.size / 2], "s")
measure.figure("until records are taken again, most", waited.max, "s", ceiling: 10)
measure.finish
