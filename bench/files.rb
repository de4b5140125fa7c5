# frozen_string_literal: true

# Files that come in and go out while others work: how long a page of theirs takes, beside how long it takes alone; a
# class of a full year with eighty photos, a hundred thousand lines of answers, and two that are no class.
require "json"
require "tempfile"
require_relative "place"
require "zip"
require_relative "measure"

OTHERS = Size.of(4, 2)
PHOTOS = Size.of(80, 2)
LINES = Size.of(100_000, 100)
PAGES = Size.of(40, 3)

port = Place.watched
require_relative "tapper"
require_relative "heard_for_a_year"

# A form with a file, as a browser sends it.
class Tapper
  # @return [Array(String, Float)] what is said in the end, and seconds until it was
  def bring(name, bytes)
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    form = [["authenticity_token", @headers["X-CSRF-Token"]], ["file", bytes, { filename: name }]]
    sent = Net::HTTP::Post.new("/records/#{room.id}/in", @headers.except("HX-Request"))
    sent.set_form(form, "multipart/form-data")
    said = led(@http.request(sent))
    [said, Process.clock_gettime(Process::CLOCK_MONOTONIC) - start]
  end

  def led(answer)
    while %w[202 302 303].include?(answer.code)
      @path = URI(answer["location"]).path if answer["location"]
      sleep 0.1 if answer.code == "202"
      answer = @http.get(@path, @headers.except("HX-Request"))
    end
    answer.body.scan(%r{<p class="lead"[^>]*>(.*?)</p>}m).flatten.first.to_s.gsub(/<[^>]+>|\s+/, " ").strip
  end
end

# @return [Float] milliseconds of a page in the middle, the median of five runs or of as many as there are meanwhile
def page_of(others, &)
  runs = []
  while runs.size < 5 && yield
    times = others.map do |other|
      Thread.new do
        Array.new(PAGES) do
          start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          other.get("/today/#{other.room.id}")
          Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
        end
      end
    end
    runs << percentile(times.flat_map(&:value), 0.5)
  end
  percentile(runs, 0.5) / 1000
end

def zip_of(entries)
  manifest = { "format" => "rungs-class", "version" => 4, "holds" => "class",
               "sha256" => entries.transform_values { |bytes| Digest::SHA256.hexdigest(bytes) } }
  Zip::OutputStream.write_buffer do |zip|
    { "manifest.json" => JSON.generate(manifest), **entries }.each do |name, bytes|
      zip.put_next_entry(name)
      zip.write(bytes)
    end
  end.string
end

# A class of a full year as Rungs writes it.
def year_file
  room = Year.room
  DB[:photos].where(classroom_id: room.id).delete
  jpeg = "\xFF\xD8\xFF".b
  room.observations_dataset.limit(PHOTOS).each do |row|
    DB[:photos].insert(classroom_id: room.id, child_id: row.child_id, first_key: row.first_key,
                       client_key: SecureRandom.uuid, taken_at: Time.now,
                       content: Sequel.blob(jpeg + Random.bytes(150_000)))
  end
  file = Tempfile.new("year")
  Exchange::Archive.write(room, to: file.path)
  File.binread(file.path)
end

others = Array.new(OTHERS) { Tapper.new(port).start_class }
teacher = Tapper.new(port).start_class
year = year_file
ten = JSON.parse(Zip::File.open_buffer(year).read("class.json"))
ten["observations"] *= 10
day = Date.today.iso8601
table = Array.new(LINES) { |index| "Child #{index % 24},#{day},#{2 + (index % 7)} + #{3 + (index % 6)} = ?,count_on" }
nothing = "[#{'[],' * Size.of(50_000_000, 1000)}[]]"
files = { "a class of a full year" => ["class.zip", year],
          "ten times that" => ["class.zip", zip_of("class.json" => ten.to_json)],
          "150 MB of []," => ["class.zip", zip_of("class.json" => nothing)],
          "#{LINES} lines of answers" => ["a.csv", ["child,date,equation,rung", *table].join("\n")] }
measure = Measure.new
alone = page_of(others) { true }
measure.figure("a page of others, alone", alone, "ms")
files.each do |what, (name, bytes)|
  sent = Thread.new { teacher.bring(name, bytes) }
  beside = page_of(others) { sent.alive? }
  said, seconds = sent.value
  puts "#{what} (#{bytes.bytesize / 1024} kB): #{said}"
  measure.figure("  until that is said", seconds, "s", ceiling: what.match?(/ten|MB/) ? 2 : 60)
  measure.figure("  a page of others meanwhile", beside / alone, "times alone", ceiling: 2)
end
measure.finish
