# frozen_string_literal: true

require "bcrypt"
require "securerandom"
require_relative "tablet"

# A teacher who taps, in a class of their own: the next child, the next rung.
class Tapper < Tablet
  PASSWORD = "thirty teachers"
  CHILDREN = 24
  # A record’s answer holds what changed and nothing else.
  LARGEST = 4096

  attr_reader :room, :teacher, :posed

  def start_class
    email = "#{SecureRandom.hex(6)}@harbour.example"
    @teacher = Records::Account.create(email: email, name: "Teacher")
    DB[:account_password_hashes].insert(id: @teacher.id, password_hash: BCrypt::Password.create(PASSWORD, cost: 4))
    @room = @teacher.start_classroom(name: "Room")
    Records::Child.enrol(@room, Array.new(CHILDREN) { |index| "Child #{index}" })
    told = Rungs::Activity::POSED.data_for(Rungs::Problem.from_story("add_to.result", [9, 5]), "9 and 5")
    @posed = @room.start_lesson(@room.today).course.tell([told])
    enter(email, PASSWORD)
    self
  end

  # Somebody else who taps in a class that is there, beginning with another child.
  # @param other [Tapper]
  def join(other)
    email = "#{SecureRandom.hex(6)}@harbour.example"
    @teacher = Records::Account.create(email: email, name: "Helper")
    DB[:account_password_hashes].insert(id: @teacher.id, password_hash: BCrypt::Password.create(PASSWORD, cost: 4))
    @room, @posed, @taps = other.room, other.posed, CHILDREN / 2
    DB[:memberships].insert(account_id: @teacher.id, classroom_id: @room.id, role: "assistant")
    enter(email, PASSWORD)
    self
  end

  # @return [Array(String, Hash)] path and form of the next record
  def next_tap
    @taps = @taps.to_i + 1
    form = { child_id: room.children[@taps % CHILDREN].id, problem_id: @posed.id,
             code: Rungs::Strategy::Rung.at((@taps % 5) + 1).id, client_key: SecureRandom.uuid }
    ["/listen/#{room.id}/records", form]
  end

  # @return [Float] seconds until it was answered
  def timed_tap
    path, form = next_tap
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    answer = post(path, form)
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
    def next_tap = ["/", { code: "count_on", client_key: SecureRandom.uuid }]
  end

  # Each does its taps, all at once.
  def self.together(tappers) = tappers.map { |tapper| Thread.new { yield tapper } }.flat_map(&:value)
end
