# frozen_string_literal: true

require "app_helper"

# Sheets against what is kept of them: what is drawn and written, where, how thick and how large.
RSpec.describe "The sheets’ tables" do
  def of(entry, **chosen) = Sheets::ALL.fetch(entry).of(Sheets::Source.new, chosen).render.b

  # What a sheet is: pages, lines, boxes and curves with their widths and between which corners, sizes of type, and the
  # first of its words.
  def written(pdf)
    Tempfile.create("rungs", binmode: true) do |file|
      file.write(pdf)
      file.close
      plain, = Open3.capture2("qpdf", "--qdf", "--object-streams=disable", file.path, "-", binmode: true)
      words, = Open3.capture2("pdftotext", "-layout", file.path, "-")
      [*drawn(plain.b), words.split.join(" ")[0, 240]].join(" · ")
    end
  end

  def drawn(plain)
    counted = { "pages" => %r{/Type /Page$}, "lines" => / l$/, "boxes" => / re$/, "curves" => / c$/ }
    across, up = plain.scan(/^(-?[\d.]+) (-?[\d.]+) (?:[ml]|[\d.]+ -?[\d.]+ re)$/).map { |at| at.map(&:to_f) }.transpose
    [counted.map { |what, kind| "#{plain.scan(kind).size} #{what}" }.join(", "),
     "widths #{plain.scan(/^([\d.]+) w$/).flatten.uniq.sort.join(' ')}",
     "type #{plain.scan(%r{/F[\d.]+ ([\d.]+) Tf}).flatten.uniq.sort.join(' ')}",
     ("between #{[across, up].flat_map(&:minmax).map { |side| side.round(1) }.join(' ')}" if across)].compact
  end

  def practice(id, **chosen)
    source = Sheets::Source.new(kind: Rungs::Activity::ALL.fetch(id).with)
    Sheets::Practice.of(source, { seed: 5, **chosen }).render.b
  end

  it "hold for practice of every activity, on both papers", :deep do
    ways = [{ paper: "a4" }, { paper: "letter", large: true, answers: true, per_page: 4 }]
    cases = Rungs::Activity::ALL.ids.product(ways)
    expect_table("sheets_practice", cases.to_h do |id, chosen|
      ["#{id} #{chosen}", written(practice(id, **chosen))]
    end)
  end

  it "hold for everything to fill in and to cut", :deep do
    sheets = Sheets::ALL.on("recording").to_a.product([3, 10]) + Sheets::ALL.on("cutouts").to_a.product([nil])
    expect_table("sheets_fill_and_cut", sheets.to_h do |sheet, number|
      ["#{sheet.id} #{number}", written(of(sheet.id, **(number ? { number: number } : {})))]
    end)
  end

  it "hold for what is filled in, large and with sentences down the page, and for practice that stands so", :deep do
    down = { large: true, source: Sheets::Source.new(down: true) }
    drawn = ->(sheet, source:, **chosen) { written(sheet.of(source, chosen).render.b) }
    filled = Sheets::ALL.on("recording").to_h { |sheet| ["#{sheet.id} down", drawn.call(sheet, number: 10, **down)] }
    practised = Rungs::Activity::ALL.to_h do |activity|
      source = Sheets::Source.new(kind: activity.with, down: true)
      ["#{activity.id} down", drawn.call(Sheets::Practice, source: source, seed: 3, per_page: 8)]
    end
    expect_table("sheets_down", filled.merge(practised))
  end

  # A page for each of two: a long one and a short one.
  def for_each
    draft = Rungs::Progress::NoteDraft.draft(name: "Ada", rungs: [3], operation: "add", band: "bridge",
                                             example: Rungs::Progress::NoteDraft::Example.new(
                                               solved: "9 + 5 = 14", way: "10 … 14"
                                             ))
    note = Sheets::NotePages::Note
    notes = [note.new(title: "Ada, 24 November", parts: draft, picture: Rungs::Picture::Frame.new([9, 5]).layout),
             note.new(title: "Bo, 24 November", parts: { now: "begins", home: "Count.", caution: " " }, picture: nil)]
    homes = [%w[add to10], %w[subtract to5]].map do |operation, range|
      aim = Rungs::Planning::Aim.new(operation: operation, range: range, rung: 2)
      Sheets::HomePages::Home.new(name: range, advice: Rungs::Planning::AtHome.new(aim: aim, range: range, seed: 3))
    end
    [Sheets::NotePages.new(each: notes, where: "Room 4", title: "For families"),
     Sheets::HomePages.new(each: homes, title: "For home", paper: "letter")]
  end

  # So many children, the first with numbers of their own, on so many problems.
  def clipboard(children, problems)
    asked = Array.new(problems) { |place| "#{place + 2} + 5 = □" }
    list = Array.new(children) { |place| ["#{'Ada' * (1 + (place % 6))} #{place}", asked.rotate(place.zero? ? 1 : 0)] }
    Sheets::Clipboard.new(children: list.to_h, problems: asked, title: "Tuesday")
  end

  def own_numbers
    items = Rungs::Activity::ALL.fetch("twins").with.items(seed: 4)
    Sheets::OwnNumbers.new(sets: [[2, items.first(4)], [1, items.last(4)]], title: "Twins", per_page: 4)
  end

  it "hold for families, for home, for the clipboard and for numbers of their own" do
    sheets = { "families" => for_each[0], "home" => for_each[1], "own" => own_numbers }
    clipboards = [[1, 1], [24, 3], [29, 4], [30, 5]].to_h { |size| ["clipboard #{size}", clipboard(*size)] }
    expect_table("sheets_for_each", sheets.merge(clipboards).transform_values { |sheet| written(sheet.render.b) })
  end

  def child
    Sheets::ChildRecord.new(title: "Ada", about: "Room 4", standing: ["Adding: counts on.", "Taking away: not heard."],
                            answers: [["1 Nov", "9 + 5 = □", "count on"], ["2 Nov", "8 + 4 = □", "make ten"]],
                            everything_else: { "Notes" => ["One.", "Two."], "Photos" => [] }, photos: [])
  end

  def lesson
    part = Sheets::LessonPage::Part.new(title: "Twins", minutes: 7, says: ["How many?", "“Five,” says Ada."],
                                        following: "4 + 4 = □", materials: ["buttons"], cautions: ["Small things."],
                                        listen_for: ["“Eight!”"])
    Sheets::LessonPage.new(parts: [part, part], turns: [%w[Ada unheard.], ["Bo", "not clear"]], title: "Tuesday")
  end

  # As every sheet is where nothing else is said: with a line for the name.
  def named
    Class.new(Sheets::Sheet) do
      def self.title = "A sheet"
      def body = ending
    end.new
  end

  it "hold for the pages for the next teacher and of a child" do
    parts = { "Works" => ["Adding, to 10: works mostly by counting on."], "Knows by heart" => [],
              "Slips that came back" => ["Start counted (3 times). Ask: “Where do you start?”"] * 3 }
    told = { "Ada" => parts, "Bo" => {} }.map { |name, its| Sheets::NextTeacher::Told.new(title: name, parts: its) }
    pages = Sheets::NextTeacher.new(each: told, where: "Room 4, Lantern Quay School", title: "For the next teacher",
                                    paper: "a4")
    expect_table("sheets_told", { "next teacher" => written(pages.render.b), "child" => written(child.render.b),
                                  "lesson" => written(lesson.render.b), "named" => written(named.render.b) })
  end
end
