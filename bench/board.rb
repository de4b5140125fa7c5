# frozen_string_literal: true

# A step on the board, until a second window of the lesson has drawn it; and the conduct page's time in the server. With
# one lesson, and with thirty at once, each a step a second.
require_relative "place"
require_relative "measure"
require_relative "tablet"
require "securerandom"

LESSONS = Size.of(30, 2)
STEPS = Size.of(10, 2)
PAGES = Size.of(40, 3)
CHILDREN = 24

Place.open
require "bcrypt"

def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

# A lesson that conducts an activity, with its tablet and a second window that follows the board.
class Conducted
  PASSWORD = "a step a second"

  def initialize(port)
    @teacher = Records::Account.create(email: "#{SecureRandom.hex(6)}@harbour.example", name: "Teacher")
    hashed = BCrypt::Password.create(PASSWORD, cost: 4)
    DB[:account_password_hashes].insert(id: @teacher.id, password_hash: hashed)
    @room = @teacher.start_classroom(name: "Room")
    Records::Child.enrol(@room, Array.new(CHILDREN) { |index| "Child #{index}" })
    @lesson = @room.start_lesson(@room.today)
    @lesson.course.go(@lesson.course.plan("twins", details: { "seed" => 1 }))
    @tablet = Tablet.new(port)
    @tablet.enter(@teacher.email, PASSWORD)
  end

  # @return [Array<Float>] seconds from each press until the second window has the screen
  def step_through
    window, board = @tablet.another, "/board/#{@room.id}/lessons/#{@lesson.id}"
    drawn = Queue.new
    follower = Thread.new { follow(window, board, drawn) }
    sleep 0.5 + rand
    drawn.clear
    Array.new(STEPS) { |step| pressed(board, step, drawn) }
  ensure
    follower&.kill
  end

  # @return [Array<Float>] seconds in the server
  def pages
    PAGES.times { @tablet.get("/conduct/#{@room.id}") }
    @tablet.server.last(PAGES)
  end

  def clear = @teacher.leave_classrooms && @teacher.delete

  private

  # A beat that says the same version again is no step.
  def follow(window, board, drawn)
    seen = nil
    window.follow("#{board}/events") do |line|
      version = line[/\Adata: *(\d+)/, 1]
      next if version.nil? || version == seen

      seen = version
      window.get("#{board}/screen")
      drawn << now
      false
    end
  end

  def pressed(board, step, drawn)
    start = now
    @tablet.post("#{board}/commands", do: "step", value: "#{step / 4}.#{(step % 4) + 1}")
    took = drawn.pop - start
    sleep [1 - took, 0].max
    took
  end
end

measure = Measure.new
port = Place.serve("-C", "config/puma.rb", "bench/timed.ru")
lessons = Array.new(LESSONS) { Conducted.new(port) }
2.times { lessons.first.pages } # warm
lessons.first.step_through
one = lessons.first.step_through
all = lessons.map { |lesson| Thread.new { lesson.step_through } }.flat_map(&:value)
pages = lessons.first.pages
many = lessons.map { |lesson| Thread.new { lesson.pages } }.flat_map(&:value)
lessons.each(&:clear)

measure.figure("step in a second window, one lesson, p95", percentile(one, 0.95), "ms", ceiling: 300)
measure.figure("step in a second window, thirty lessons, p95", percentile(all, 0.95), "ms", ceiling: 300)
measure.figure("step ratio", percentile(all, 0.5) / percentile(one, 0.5), "times one lesson")
measure.figure("conduct page in the server, p95", percentile(pages, 0.95), "ms", ceiling: 25)
measure.figure("conduct page ratio", percentile(many, 0.5) / percentile(pages, 0.5), "times one at a time")
measure.finish
