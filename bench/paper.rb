# frozen_string_literal: true

# How long sheets take: a practice page, and a page for each family of a class of thirty; and what memory they need.
require_relative "place"
require_relative "measure"

CHILDREN = Size.of(30, 2)

Place.open
LOADER.eager_load
account = Records::Account.create(email: "#{SecureRandom.hex(6)}@harbour.example", name: "Teacher")
room = account.start_classroom(name: "Room")
Records::Child.enrol(room, Array.new(CHILDREN) { |index| "Child #{index}" })
told = Rungs::Activity::POSED.data_for(Rungs::Problem.from_story("add_to.result", [9, 5]), "9 and 5")
posed = room.start_lesson(room.today).course.tell([told])
recorder = Records::Recorder.new(room, account)
room.children.each_with_index do |child, index|
  recorder.record(child: child, problem: posed, code: Rungs::Strategy::Rung.at((index % 5) + 1).id,
                  client_key: SecureRandom.uuid, happened_at: Time.now)
end

evidence = Records::Evidence.new(room)
notes = room.children.lazy.map do |child|
  source = Records::FamilyNote::Source.new(child, evidence, room.today)
  Sheets::NotePages::Note.new(title: child.name, parts: source.draft, picture: source.picture)
end
source = Sheets::Source.new(kind: Rungs::Activity::ALL.fetch("hidden_beads").with)
measure = Measure.new
page = measure.seconds { Sheets::Practice.of(source, { seed: 3 }).render }
families = measure.seconds { Sheets::NotePages.new(each: notes, title: "For families").render }
dominoes = measure.seconds { Sheets::Cut::Dominoes.of(source, { to: 9 }).render }
measure.figure("a practice page", page * 1000, "ms", ceiling: 150)
measure.figure("pages for #{CHILDREN} families", families, "s", ceiling: 6)
measure.figure("a set of dominoes to double nine", dominoes * 1000, "ms")
measure.figure("memory", File.read("/proc/self/status")[/VmHWM:\s+(\d+)/, 1].to_f / 1024, "MB", ceiling: 200)
room.delete
account.delete
measure.finish
