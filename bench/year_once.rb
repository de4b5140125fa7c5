# frozen_string_literal: true

# Measures every page of the class in one database, as each of its people, and prints them as JSON, for year.rb.
require_relative "place"
require_relative "size"
require "json"

WARM = Size.of(4, 1)
TIMES = Size.of(24, 1)
# Seconds after which a page that takes long was opened often enough.
LONG = Size.of(4, 0.01)

Place.open(ARGV.fetch(0))
ENV["RACK_ENV"] = "production"
require_relative "heard_for_a_year"
require_relative "inside"

# One who belongs to the class, who opens all that the routes name.
class Reader
  # What goes on for ever, or is no page of a class.
  LEFT_OUT = %r{/events\z|\A/b/|\A/substitute|\A/calendar|\A/account/log}
  # What a file is, and a picture.
  FILE = /\.(csv|jsonl|json|pdf|png|ics)\z|:as\z|child\z/

  def initialize(room, account)
    @browser = Inside.new(Inside.app, account)
    @known = known(room)
  end

  # @return [Array<String>] addresses with what the class has in place of their names
  def addresses
    patterns = Pages::Places::ALL.flat_map do |place, pages|
      pages::Routes.routes.fetch("GET", []).map { |pattern, *| "#{place.chomp('/')}#{pattern}" }
    end
    patterns.grep_v(LEFT_OUT).filter_map { |pattern| filled(pattern.delete_suffix("?")) }.uniq
  end

  # @return [Hash, nil] nil where it may not be opened
  def measured(path)
    return unless @browser.status(path) == 200

    times = times(path)
    asked = Statements.of { @browser.get(path) }.grep(/\A(SELECT|EXECUTE|WITH|INSERT|UPDATE|DELETE)/)
    { median: times[times.size / 2], p95: times[((times.size - 1) * 0.95).round], statements: asked.size,
      rows: asked.grep(/\A(SELECT|EXECUTE)/).sum { |sql| rows_of(plan(sql)) }, file: path.match?(FILE) }
  end

  # The statements of a page that go through the most rows.
  def worst(path)
    all = Statements.of { @browser.get(path) }.grep(/\A(SELECT|EXECUTE)/)
    all.map { |sql| [rows_of(plan(sql)), sql.gsub(/\s+/, " ")[0, 300]] }.max_by(5, &:first)
  end

  private

  def known(room)
    lesson = Records::Lesson.where(classroom_id: room.id).order(:held_on).last
    part = Records::LessonPart.where(lesson_id: lesson.id).first
    { room: room.id, lesson: lesson.id, part: part.id, child: room.children.first.id, kind: "hidden_beads",
      item: 0, step: 0, as: "svg", number: 1, paper: "note" }
  end

  def filled(pattern)
    names = pattern.scan(/:(\w+)/).flatten.map(&:to_sym)
    return unless names.all? { |name| @known.key?(name) } && pattern.match?(%r{\A[\w/:.-]*\z})

    pattern.gsub(/:(\w+)\??/) { @known.fetch(Regexp.last_match(1).to_sym) }
  end

  # Milliseconds, the shortest first.
  def times(path)
    (WARM - 1).times { @browser.get(path) } if WARM > 1 && seconds { @browser.get(path) } < 1
    all = []
    all << (seconds { @browser.get(path) } * 1000) while all.size < TIMES && all.sum < LONG * 1000
    all.sort
  end

  # The rows that were really gone through.
  def plan(sql) = JSON.parse(DB.fetch("EXPLAIN (ANALYZE, FORMAT JSON) #{sql}").single_value!.to_json)[0]["Plan"]

  def rows_of(plan)
    gone = (plan["Actual Rows"] + plan["Rows Removed by Filter"].to_i) * plan["Actual Loops"]
    gone + plan["Plans"].to_a.sum { |each| rows_of(each) }
  end

  def seconds
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    yield
    Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
  end
end

room = Year.room
all = Year.people(room).to_h do |role, account|
  reader = Reader.new(room, account)
  paths = ARGV[1] ? reader.addresses.grep(Regexp.new(ARGV[1])) : reader.addresses
  [role, paths.to_h { |path| [path.gsub(%r{\d{2,}|(?<=/)\d(?=/|\z)}, "N"), reader.measured(path)] }.compact]
end
memory = File.read("/proc/self/status")[/VmHWM:\s+(\d+)/, 1].to_i / 1024
puts JSON.generate(pages: all, memory: memory)
