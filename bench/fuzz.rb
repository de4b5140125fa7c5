# frozen_string_literal: true

# Ten thousand requests over all routes, each with something odd in its path, its form, its cookies or a file that it
# sends: how many the server could not answer for (5xx: none), and how many took long. The same requests each time for
# the same seed: bin/bench fuzz SEED
require_relative "place"
require_relative "measure"

REQUESTS = Size.of(10_000, 120)
TABLETS = 4
SLOW = 1.0

Place.open
LOADER.eager_load
require_relative "tapper"

# Requests that no page makes.
class Fuzz
  LONGEST = 3000
  BOUNDARY = "harbour"
  COOKIES = %w[rungs.session rungs.stay x].freeze
  FILES = %w[file photo list days[] x].freeze
  # Signing out and closing the account would end it; what goes on for ever is not asked for.
  LEFT_OUT = %r{/events\z|\A/account/sessions}
  NAMES = ObjectSpace.each_object(Class).select { |each| each < Pages::Shared::Contract }
                     .flat_map { |contract| contract.schema.key_map.map(&:name) }.uniq.sort.freeze
  ODD = ["", " ", "0", "-1", "1", "2", "7", "9" * 22, "1e9", "NaN", "null", "true", "%FF", "%00", "\u0000",
         "\xFF\xFE", "'; DROP TABLE accounts; --", "<script>alert(1)</script>", "../../etc/passwd", "□", "👩🏽‍🏫",
         "٣", "1 2 3", "9,5", "0.0", "3.99", "2026-02-30", "0000-00-00", "9999-12-31", "2026-11-26", "to10", "add",
         "add_to.result", "count_on", "x" * LONGEST, "[" * 200, "{}", "--1", "+ +", "1" * 400, "\r\n\r\n"].freeze

  EVENT = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nDTSTART;VALUE=DATE:20261130\r\n%s\r\nEND:VEVENT\r\n" \
          "END:VCALENDAR\r\n"
  ENDS = ["DTEND:x", "DTEND;VALUE=DURATION:P3D", "DURATION:P9999999D", "DTEND;VALUE=DATE:99991231", "RRULE:FREQ=DAILY",
          "DTEND;TZID=Moon/Base:20261130T090000"].freeze
  BODIES = [*ENDS.map { |ending| format(EVENT, ending) }, "\xFF\xD8\xFF\xE0".b, "\x89PNG\r\n\x1A\n".b, "GIF89a".b,
            "\0" * 300, "BEGIN:VCALENDAR", "", "x" * LONGEST].freeze

  # @param random [Random]
  # @param known [Hash{String => Array}] what there is of each path parameter
  def initialize(random, known)
    @random = random
    @known = known
    @routes = Pages::Places::ALL.flat_map { |place, pages| routes_of(place, pages::Routes) }
  end

  # @return [Array(String, String, String, Hash)] verb, path, body and headers
  def request
    verb, pattern = pick(@routes)
    path = pattern.gsub(/:(\w+)\??/) { escape(part(Regexp.last_match(1))) }
    headers = @random.rand < 0.1 ? { "Cookie" => cookies } : {}
    return [verb, "#{path}?#{form}", "", headers] if verb == "GET"
    return [verb, path, form, headers] if @random.rand < 0.8

    [verb, path, with_file, headers.merge("Content-Type" => "multipart/form-data; boundary=#{BOUNDARY}")]
  end

  private

  def routes_of(place, routes)
    all = %w[GET POST].flat_map { |verb| (routes.routes[verb] || []).map { |pattern, *| [verb, pattern.to_s] } }
    all.map { |verb, path| [verb, "#{place.chomp('/')}#{path}"] }.reject { |_, path| path.match?(LEFT_OUT) }
  end

  def pick(list) = list[@random.rand(list.size)]
  def part(name) = @random.rand < 0.8 && @known.key?(name) ? pick(@known[name]) : value
  def value = @random.rand < 0.3 ? pick(@known.values.flatten) : pick(ODD)
  def form = Array.new(@random.rand(7)) { "#{name}=#{escape(value)}" }.join("&")

  # Beside the session's own, or in its place.
  def cookies = Array.new(1 + @random.rand(3)) { "#{pick(COOKIES)}=#{escape(value)}" }.join("; ")

  # Now and then not even whole.
  def with_file
    heading = "Content-Disposition: form-data; name=\"#{pick(FILES)}\"; filename=\"#{pick(%w[a.ics a.jpg ../x])}\""
    body = "--#{BOUNDARY}\r\n#{heading}\r\n\r\n#{pick(BODIES)}\r\n--#{BOUNDARY}--\r\n".b
    @random.rand < 0.9 ? body : body[0, @random.rand(body.size)]
  end

  def name = @random.rand < 0.7 ? pick(NAMES) : pick(["#{pick(NAMES)}[]", "#{pick(NAMES)}[x][y]", "x"])

  # Now and then as no browser would.
  def escape(text)
    @random.rand < 0.9 ? URI.encode_www_form_component(text.to_s) : text.to_s.b.gsub(/[^!-~]/n, "%0")
  end
end

port = Place.serve("-C", "config/puma.rb", "bench/timed.ru")
tappers = Array.new(TABLETS) { Tapper.new(port).start_class }
rooms = tappers.map(&:room)
tappers.each { |tapper| tapper.hurriedly(3) }
own = { classroom_id: rooms.map(&:id) }
known = { "room" => own.values.first, "child" => DB[:children].where(own).limit(9).select_map(:id),
          "lesson" => DB[:lessons].where(own).select_map(:id), "part" => DB[:lesson_parts].where(own).select_map(:id),
          "problem" => DB[:problems].where(own).select_map(:id), "kind" => Rungs::Picture::KINDS.ids,
          "key" => DB[:observations].where(own).select_map(:first_key), "paper" => %w[a4 letter],
          "code" => [rooms.first.lessons.first.open_code] }
seed = Integer(ARGV.fetch(1, "1"))
answers = Tapper.together(tappers.each_with_index.to_a) do |tapper, index|
  fuzz = Fuzz.new(Random.new((seed * TABLETS) + index), known)
  Array.new(REQUESTS / TABLETS) { fuzz.request.then { |request| [*request, *tapper.ask(*request)] } }
end

measure = Measure.new
worst = answers.select { |*, status, _| status >= 500 }
late = answers.select { |*, seconds| seconds > SLOW }
worst.first(10).each { |verb, path, form, _, status, _| puts "#{status} #{verb} #{path[0, 200]} #{form[0, 200]}" }
late.first(10).each { |verb, path, *, seconds| puts "#{seconds.round(1)} s #{verb} #{path[0, 200]}" }
answers.group_by { |*, status, _| status / 100 }.sort.each { |kind, those| puts "#{kind}xx: #{those.size} requests" }
measure.figure("requests", answers.size, "requests", floor: REQUESTS)
measure.figure("not answered for (5xx)", worst.size, "requests", ceiling: 0)
measure.figure("slower than a second", late.size, "requests", ceiling: 0)
measure.figure("slowest", answers.map(&:last).max * 1000, "ms")
DB[:accounts].where(name: "Teacher").select_map(:id).each do |id|
  Records::Account[id].then { |account| account.leave_classrooms && account.delete }
end
measure.finish
