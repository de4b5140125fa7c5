# frozen_string_literal: true

# Thirty teachers record at once, each a tap a second, over HTTP to a real server: how long until the record is kept and
# the page is told. Beside it, in the same run, the same requests to Puma and Sequel that only write one row.
require_relative "place"
require_relative "measure"
require_relative "tablet"
require "securerandom"

TEACHERS = 30
SECONDS = 20
CHILDREN = 24

Place.open
require "bcrypt"

# A tap every second.
class Tapper < Tablet
  def taps(path, forms)
    sleep rand
    forms.map do |form|
      start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      answer = post(path, form)
      took = Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
      abort "a record was refused: #{answer.code} #{answer.body[0, 200]}" unless answer.code == "200"
      sleep [1 - took, 0].max
      took
    end
  end
end

def all_at_once(tappers, path, forms)
  tappers.each_with_index.map do |tapper, index|
    Thread.new do
      tapper.taps(path[index], forms[index])
    end
  end.flat_map(&:value)
end

password = "thirty teachers"
hashed = BCrypt::Password.create(password, cost: 4)
people = Array.new(TEACHERS) do
  teacher = Records::Account.create(email: "#{SecureRandom.hex(6)}@harbour.example", name: "Teacher")
  DB[:account_password_hashes].insert(id: teacher.id, password_hash: hashed)
  room = teacher.start_classroom(name: "Room")
  Records::Child.enrol(room, Array.new(CHILDREN) { |index| "Child #{index}" })
  told = Rungs::Activity::POSED.told(Rungs::Problem.told("add_to.result", [9, 5]), "9 and 5")
  [teacher, room, room.start_lesson(room.today).course.tell([told])]
end
DB.create_table?(:bare_rows) { primary_key :id; String :body } # rubocop:disable Style/Semicolon

measure = Measure.new
tappers = people.map do |teacher, _, _|
  Tapper.new(@port ||= Place.serve("-C", "config/puma.rb",
                                   "bench/timed.ru")).tap do |tapper|
    tapper.enter(teacher.email, password)
  end
end
forms = people.map do |_, room, posed|
  Array.new(SECONDS) { |index| { child_id: room.children[index % CHILDREN].id, problem_id: posed.id, code: Rungs::Strategy::Rung.at((index % 5) + 1).id, client_key: SecureRandom.uuid } }
end
paths = people.map { |_, room, _| "/listen/#{room.id}/records" }
all_at_once(tappers, paths, forms.map { |each| each.first(2).map { |form| form.merge(client_key: SecureRandom.uuid) } })
waited = all_at_once(tappers, paths, forms)
times = tappers.flat_map { |tapper| tapper.server.last(SECONDS) }

bare_port = Place.serve("-b", "tcp://127.0.0.1:PORT", "-t", "5:5", "-e", "production", "bench/bare.ru")
bare = all_at_once(Array.new(TEACHERS) { Tapper.new(bare_port) }, Array.new(TEACHERS, "/"), forms)

kept = DB[:observations].where(classroom_id: people.map { |_, room, _| room.id }).count
abort "#{kept} records were kept of #{TEACHERS * (SECONDS + 2)}" unless kept == TEACHERS * (SECONDS + 2)
measure.figure("record, median", percentile(times, 0.5), "ms")
measure.figure("record, p95", percentile(times, 0.95), "ms", ceiling: 15)
measure.figure("record as the tablet waits for it, median", percentile(waited, 0.5), "ms")
measure.figure("record as the tablet waits for it, p95", percentile(waited, 0.95), "ms")
measure.figure("record ratio, median", percentile(waited, 0.5) / percentile(bare, 0.5), "times a bare row")
measure.figure("record ratio, p95", percentile(waited, 0.95) / percentile(bare, 0.95), "times a bare row")
people.each { |teacher, _, _| teacher.leave_classrooms && teacher.delete }
measure.finish
