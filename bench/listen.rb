# frozen_string_literal: true

# Thirty teachers record at once, over HTTP to a real server: each a tap a second, how long until the record is kept and
# the page is told; then each as fast as it is answered, how many a second. Beside both, in the same run, the same
# requests to Puma and Sequel that only write one row.
require_relative "place"
require_relative "measure"
require_relative "tablet"
require "securerandom"

TEACHERS = 30
SECONDS = 20
CHILDREN = 24
# A record’s answer holds what changed and nothing else.
LARGEST = 4096

Place.open
require "bcrypt"

# A teacher who taps, in a class of their own.
class Tapper < Tablet
  attr_reader :room

  def start_class(email)
    teacher = Records::Account.create(email: email, name: "Teacher")
    DB[:account_password_hashes].insert(id: teacher.id, password_hash: BCrypt::Password.create(PASSWORD, cost: 4))
    @room = teacher.start_classroom(name: "Room")
    Records::Child.enrol(@room, Array.new(CHILDREN) { |index| "Child #{index}" })
    told = Rungs::Activity::POSED.told(Rungs::Problem.told("add_to.result", [9, 5]), "9 and 5")
    @posed = @room.start_lesson(@room.today).course.tell([told])
    enter(email, PASSWORD)
  end

  PASSWORD = "thirty teachers"

  # The next child, the next rung.
  def record
    @taps = @taps.to_i + 1
    rung = Rungs::Strategy::Rung.at((@taps % 5) + 1)
    post("/listen/#{room.id}/records", child_id: room.children[@taps % CHILDREN].id, problem_id: @posed.id,
                                       code: rung.id, client_key: SecureRandom.uuid)
  end

  # @return [Float] seconds until it was answered
  def timed_tap
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    answer = record
    abort "a record was refused: #{answer.code} #{answer.body[0, 200]}" unless answer.code == "200"
    abort "a record’s answer has #{answer.body.bytesize} bytes" if answer.body.bytesize > LARGEST
    Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
  end

  # One a second.
  def calmly(times)
    sleep rand
    Array.new(times) { timed_tap.tap { |took| sleep [1 - took, 0].max } }
  end

  def hurriedly(times) = Array.new(times) { timed_tap }

  # The same, where nothing is done but to write a row.
  class Bare < Tapper
    def record = post("/", code: "count_on", client_key: SecureRandom.uuid)
  end
end

def together(tappers) = tappers.map { |tapper| Thread.new { yield tapper } }.flat_map(&:value)

# @return [Float] records a second
def throughput(tappers, times)
  start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  together(tappers) { |tapper| tapper.hurriedly(times) }
  tappers.size * times / (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start)
end

DB.create_table?(:bare_rows) { primary_key :id; String :body } # rubocop:disable Style/Semicolon
port = Place.serve("-C", "config/puma.rb", "bench/timed.ru")
bare_port = Place.serve("-b", "tcp://127.0.0.1:PORT", "-t", "5:5", "-e", "production", "bench/bare.ru")
tappers = Array.new(TEACHERS) do
  Tapper.new(port).tap { |tapper| tapper.start_class("#{SecureRandom.hex(6)}@harbour.example") }
end
bare_tappers = Array.new(TEACHERS) { Tapper::Bare.new(bare_port) }

[tappers, bare_tappers].each { |these| throughput(these, SECONDS) } # so that all is loaded
waited = together(tappers) { |tapper| tapper.calmly(SECONDS) }
times = tappers.flat_map { |tapper| tapper.server.last(SECONDS) }
bare = together(bare_tappers) { |tapper| tapper.calmly(SECONDS) }
most = throughput(tappers, SECONDS)
bare_most = throughput(bare_tappers, SECONDS)

made = tappers.size * SECONDS * 3
kept = DB[:observations].where(classroom_id: tappers.map { |tapper| tapper.room.id }).count
abort "#{kept} records were kept of #{made}" unless kept == made
measure = Measure.new
measure.figure("record, median", percentile(times, 0.5), "ms")
measure.figure("record, p95", percentile(times, 0.95), "ms", ceiling: 12)
measure.figure("record as the tablet waits for it, median", percentile(waited, 0.5), "ms")
measure.figure("record as the tablet waits for it, p95", percentile(waited, 0.95), "ms")
measure.figure("record ratio, median", percentile(waited, 0.5) / percentile(bare, 0.5), "times a bare row")
measure.figure("record ratio, p95", percentile(waited, 0.95) / percentile(bare, 0.95), "times a bare row")
measure.figure("records at most", most, "a second")
measure.figure("records at most, ratio", most / bare_most, "of bare rows", floor: 0.4)
DB[:classrooms].where(id: tappers.map { |tapper| tapper.room.id }).delete
measure.finish
