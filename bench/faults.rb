# frozen_string_literal: true

# Kills the server, the database or both at random, as bin/start watches over them, while teachers record: how many
# acknowledged records are lost or kept twice (none), and how long it takes until the next is taken.
require "tmpdir"
require_relative "place"
require_relative "measure"

WANTED = Size.of(2000, 40)
TEACHERS = Size.of(8, 2)
# Seconds between two kills; after one, the next waits until a record was taken again.
PAUSE = (0.1..1.0)

port = Place.watched
require_relative "tapper"

# A tablet that keeps a tap until it was answered for, as the page does.
class PatientTapper < Tapper
  # @return [String] the key of a record that was acknowledged
  def keep_one
    sleep 0.1
    path, form = next_tap
    sleep 0.05 until kept?(path, form)
    form[:client_key]
  end

  def kept?(path, form)
    post(path, form).code == "200"
  rescue SystemCallError, IOError, Timeout::Error, Net::HTTPBadResponse
    connect
    false
  end
end

tappers = Array.new(TEACHERS) { PatientTapper.new(port).start_class }
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
measure.figure("acknowledged records", keys.size, "records", floor: WANTED)
kills.each { |what, times| measure.figure("#{what} killed", times, "times") }
measure.figure("lost", keys.count { |key| !rows.key?(key) }, "records", ceiling: 0)
measure.figure("kept twice", rows.values.count { |times| times > 1 }, "records", ceiling: 0)
measure.figure("until records are taken again, median", waited.sort[waited.size / 2], "s")
measure.figure("until records are taken again, most", waited.max, "s", ceiling: 10)
measure.finish
