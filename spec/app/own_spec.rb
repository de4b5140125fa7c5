# frozen_string_literal: true

require "app_helper"

RSpec.describe "What a teacher writes" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:written) do
    { title: "Clap it", minutes: "6", picture: "frame", lines: "Clap!\n(Wait.)\nHow many?",
      sentences: "7 + 5 = ?\n9 - ? = 4", bring: "12 clappers\nthe big drum", caution: "Gently." }
  end

  before do
    sign_in teacher[0]
    get "/own/#{room.id}"
  end

  def shelf = Records::Own.of(room, "part")
  def write(**more) = send_form("/own/#{room.id}/parts", **written, do: "keep", **more)
  def part = room.lesson_on(room.today).course.parts.last

  # On the shelf and in today's lesson.
  def take
    write
    send_form "/own/#{room.id}/parts/#{shelf.last.id}", do: "take", day: room.today
    part
  end

  it "stands on the shelf, is changed there and taken out" do
    write
    get "/own/#{room.id}"
    expect(squeezed).to include("Clap it", "6 min", "Take it", "Do it now")
    get "/own/#{room.id}/parts/#{shelf.first.id}"
    expect(squeezed).to include("Clap!\n(Wait.)\nHow many?".tr("\n", " "), "7 + 5 = □", "the big drum", "Gently.")
    send_form "/own/#{room.id}/parts/#{shelf.first.id}", **written, title: "Clap again", do: "keep"
    expect(shelf.map { |own| own.written.title }).to eq(["Clap again"])
    send_form "/own/#{room.id}/parts/#{shelf.first.id}", do: "out"
    expect(shelf).to eq([])
    get "/own/#{room.id}"
    undo = Nokogiri::HTML5(last_response.body).at_css(".note form")["action"]
    expect(squeezed).to include("Clap again: Clap! is taken out.")
    send_form undo
    expect(shelf.map { |own| own.written.title }).to eq(["Clap again"])
  end

  it "comes back with all that was typed where something of it cannot be" do
    write(title: "", sentences: "7 + 5 = ?\nseven")
    expect(last_response.status).to eq(422)
    expect(squeezed).to include("The title is empty; “seven”: an equation has one equals sign: “seven”.",
                                "Clap! (Wait.) How many?", "12 clappers")
    expect(shelf).to eq([])
    [{ lines: "a" * 201 }, { minutes: "0" }, { picture: "nine" }, { title: ["a"] }].each do |more|
      expect(write(**more).status).to eq(422)
    end
    expect(shelf).to eq([])
  end

  it "is shown as text, whatever it is, on page, board and paper" do
    texts = ["<script>alert(1)</script>", "عُدّ معي", "🥁🥁 three", "#{'long ' * 11}word"]
    texts.each { |title| write(title: title, lines: "#{title}\n(#{title})", bring: title, caution: title, do: "take") }
    expect(shelf.map { |own| own.written.title }).to eq(texts)
    lesson = room.lesson_on(room.today)
    lesson.course.go(lesson.course.parts.first)
    %W[/own/#{room.id} /lesson/#{room.id} /conduct/#{room.id} /board/#{room.id} /today/#{room.id} /week/#{room.id}
       /week/#{room.id}/term /items/#{room.id}/#{part.id}].each do |path|
      get path
      expect([path, last_response.status, last_response.body.scan("<script>alert")]).to eq([path, 200, []])
    end
    get "/week/#{room.id}/term"
    expect(squeezed).to include("&lt;script&gt;alert(1)&lt;/script&gt;")
    %w[lesson clipboard practice].each do |sheet|
      get "/sheets/#{room.id}", sheet: sheet, day: room.today
      expect([sheet, last_response.status]).to eq([sheet, 200])
      get "/sheets/#{room.id}/preview.png", sheet: sheet, day: room.today
      expect([sheet, last_response.status]).to eq([sheet, 200])
    end
  end

  it "keeps 200, shows them all, and takes no more", :deep do
    rows = Array.new(200) do |at|
      own = Rungs::Own.read("part", { **written, title: "Part #{at}", minutes: "5" })
      { classroom_id: room.id, kind: "part", content: Sequel.pg_jsonb(own.json_fields) }
    end
    DB[:own].multi_insert(rows)
    get "/own/#{room.id}"
    expect(Nokogiri::HTML5(last_response.body).css(".own-cards li").size).to eq(200)
    write(title: "One more")
    expect([last_response.status, shelf.size]).to eq([422, 200])
    expect(squeezed).to include("A class keeps 200 of these. Take one out first.", "One more")
    write(title: "Part 3", minutes: "5")
    expect(shelf.size).to eq(200)
  end

  it "is conducted, posed, recorded, brought, printed and counted like any other part" do
    take
    expect(part.title).to eq("Clap it")
    expect((0..2).map { |index| part.items.item(index).ask }).to eq(["Clap!", "7 + 5 = □", "9 − □ = 4"])
    get "/lesson/#{room.id}"
    expect(squeezed).to include("Clap it", "Clappers", "The big drum", "Gently.", "Its words", "Its numbers")
    part.lesson.course.go(part)
    get "/conduct/#{room.id}"
    expect(squeezed).to include("Clap!", "Wait.", "Take care", "Gently.")
    send_form "/conduct/#{room.id}/do", do: "step", value: "1.0"
    get "/conduct/#{room.id}"
    expect(squeezed).to include("Count on", "2 of 3")
    posed = part.problems.first
    expect([posed.equation, posed.operation]).to eq(["7 + 5 = □", "add"])
    send_form "/week/#{room.id}/shelf", thing: "the big drum", there: "1"
    expect(room.refresh.settings["shelf"].to_a).to eq(["the big drum"])
    part.lesson.course.leave
    row = Records::Term.new(room, room.today - 1, room.today).rows.find { |each| each.title == "Clap it" }
    expect([row.times, row.planned]).to eq([1, 6])
    told = Printing::LessonPapers.new(room.lesson_on(room.today)).page_parts.last
    expect([told.title, told.materials, told.cautions])
      .to eq(["Clap it", ["12 clappers for the class", "the big drum"], ["Gently."]])
    send_form "/week/#{room.id}/shelf", thing: "a pony", there: "1"
    expect(last_response.status).to eq(422)
  end

  it "is moved to another day, and goes for the next best where that is asked" do
    take
    send_form "/week/#{room.id}/move", item: part.id, place: room.today + 1
    moved = room.lesson_on(room.today + 1).course.parts.last
    expect([moved.title, moved.items.item(1).equation]).to eq(["Clap it", "7 + 5 = □"])
    send_form "/week/#{room.id}/parts/#{moved.id}/exchange"
    other = Records::LessonPart[moved.id]
    expect([other.kind == Rungs::Activity::OWN.id, other.details.own]).to eq([false, nil])
    expect(other.items.size).to be_positive
  end

  it "changes lessons to come from the shelf, but not what was changed for one lesson only, nor what has begun" do
    take
    send_form "/own/#{room.id}/parts/#{shelf.last.id}", do: "take", day: room.today + 1
    other = room.lesson_on(room.today + 1).course.parts.last
    get "/own/#{room.id}/lesson/#{other.id}"
    action = Nokogiri::HTML5(last_response.body).at_css(".own-part")["action"]
    expect(action).to eq("/own/#{room.id}/lesson/#{other.id}")
    send_form "/own/#{room.id}/lesson/#{other.id}", **written, title: "Only then", do: "today"
    expect([shelf.last.written.title, other.refresh.title]).to eq(["Clap it", "Only then"])
    send_form "/own/#{room.id}/parts/#{shelf.last.id}", **written, title: "For all", minutes: "9", do: "keep"
    expect([part.title, part.minutes, Records::LessonPart[other.id].title]).to eq(["For all", 9, "Only then"])
    send_form "/own/#{room.id}/lesson/#{other.id}", **written, title: "Both", do: "shelf"
    expect(shelf.map { |own| own.written.title }).to eq(["For all", "Both"])
    part.lesson.course.go(part)
    send_form "/own/#{room.id}/parts/#{shelf.first.id}", **written, title: "Too late", do: "keep"
    expect(part.title).to eq("For all")
    send_form "/own/#{room.id}/lesson/#{part.id}", **written, title: "No", do: "today"
    expect([last_response.status, part.title]).to eq([422, "For all"])
  end

  it "begins at once, also where today's lesson has stopped" do
    room.start_lesson(room.today).finish
    write
    send_form "/own/#{room.id}/parts/#{shelf.last.id}", do: "now"
    expect(last_response.headers["location"]).to end_with("/conduct/#{room.id}")
    expect(room.lesson_on(room.today).course.current.title).to eq("Clap it")
    get "/find/#{room.id}?activity=twins"
    expect(squeezed).to include("Do it now")
  end

  it "shows three stories before a word is kept, and tells with it from then on" do
    word = { kind: "thing", one: "pebble", many: "pebbles", most: "20", drawing: "counter" }
    send_form "/own/#{room.id}/words", **word, do: "look"
    stories = Nokogiri::HTML5(last_response.body).css(".own-look .lead").map { |each| each.text.strip }
    expect(stories.size).to eq(3)
    expect(stories).to all(include("pebble").and(end_with("?")))
    expect(Records::Own.of(room, "thing")).to eq([])
    send_form "/own/#{room.id}/words", **word, do: "keep"
    send_form "/own/#{room.id}/words", kind: "place", where: "in the garden", do: "look"
    expect(squeezed).to include("the garden")
    send_form "/own/#{room.id}/words", kind: "person", name: "the baker", do: "look"
    expect(squeezed).to match(/the baker/i)
    room.merge_settings("own_words" => "alone")
    get "/plan/#{room.id}?situation=add_to.result&band=to10"
    expect(squeezed).to include("pebble")
    send_form "/own/#{room.id}/words", **word, one: "a|b", many: "anchors", do: "look"
    expect([last_response.status, squeezed]).to match([422, include("cannot hold “|”", 'value="anchors"')])
    send_form "/own/#{room.id}/words/#{Records::Own.of(room, 'thing').first.id}", kind: "thing"
    expect(Records::Own.of(room, "thing")).to eq([])
  end

  it "takes the class's names into stories where that is set" do
    room.merge_settings("own_words" => "alone", "children_in_stories" => "yes")
    names = Array.new(20) { |seed| room.refresh.book.names(Random.new(seed)) }.flatten
    expect(names - room.called).to eq([])
    room.merge_settings("children_in_stories" => "no")
    expect(Records::Classroom[room.id].book.names(Random.new(1)) & room.called).to eq([])
  end

  it "asks its own question where a slip is shown, one a slip" do
    slip = Rungs::Slip::ALL.find { |each| each.key == "whole.start_counted" }
    problem = Rungs::Problem.from_story("add_to.result", [9, 5])
    expect(room.asks(slip, problem)).to eq(slip.ask(problem))
    %w[First? Second?].each do |words|
      send_form "/own/#{room.id}/words", kind: "question", slip: slip.key, words: words, do: "keep"
    end
    fresh = Records::Classroom[room.id]
    expect([fresh.asks(slip, problem), Records::Own.of(room, "question").size]).to eq(["Second?", 1])
    other = Rungs::Slip::ALL.find { |each| each.key == "part.start_counted" }
    taking = Rungs::Problem.from_story("take_from.result", [9, 5])
    expect(fresh.asks(other, taking)).to eq(other.ask(taking))
  end

  it "goes to a colleague as a file that names no child, is brought in after a look, and can be taken back" do
    write(lines: "Ada claps first.", caution: "Watch Bo.")
    send_form "/own/#{room.id}/words", kind: "place", where: "in the garden", do: "keep"
    get "/own/#{room.id}/file"
    sent = last_response.body
    expect(Exchange::Archive::Schema.fault(JSON.parse(sent))).to be_nil
    expect(sent).not_to match(/Ada|\bBo\b|Cleo/)
    colleague, theirs = make_teacher
    as(colleague) do
      get "/records/#{theirs.id}"
      file = Tempfile.new(["own", ".json"]).tap { |each| each.write(sent) && each.close }
      send_form "/records/#{theirs.id}/in", file: Rack::Test::UploadedFile.new(file.path, "application/json")
      follow_redirect!
      expect(squeezed).to include("A part of your own", "Clap it", "in the garden", "Bring it in")
      Exchange::Incoming.of(file.path, theirs, colleague).bring("own.json")
      expect(Exchange::Incoming.of(file.path, theirs, colleague).bring("own.json").note).to include("0 things")
      expect(Records::Own.where(classroom_id: theirs.id).select_order_map(:kind)).to eq(%w[part place])
      Exchange::TakeBack.new(Records::Brought.where(classroom_id: theirs.id).order(:id).first).call
      expect(Records::Own.where(classroom_id: theirs.id).count).to eq(0)
    end
    bad = JSON.parse(sent).tap { |json| json["own"][0]["content"]["title"] = "" }
    expect { Exchange::Archive.read(Tempfile.new("own").tap { |f| f.write(bad.to_json) && f.close }.path) }
      .to raise_error(Exchange::Archive::Refused, /the title is empty/)
  end

  it "loses a child's name with the child" do
    take
    write(title: "Ada’s game", lines: "Ada begins.\n(Ask Ada.)", do: "take")
    send_form "/own/#{room.id}/words", kind: "person", name: "Ada", do: "keep"
    ada = room.children.first
    expect(Records::Erasing.new(ada).stories).to include("Ada’s game", "Ada begins.", "Ask Ada.")
    Records::Erasing.new(ada).call
    kept = [Records::Own.where(classroom_id: room.id).select_map(:content),
            Records::LessonPart.where(classroom_id: room.id).select_map(:details)]
    expect(kept.to_json).not_to include("Ada")
    expect(part.details.own["lines"].first).to match(/\A[A-Z][a-z]+ begins\.\z/)
  end

  it "is nobody else's" do
    take
    other, = make_teacher
    as(other) do
      get "/today/#{Records::Account[other.id].classrooms.first.id}"
      %W[/own/#{room.id} /own/#{room.id}/file /own/#{room.id}/parts/#{shelf.first.id}
         /items/#{room.id}/#{part.id}].each { |path| expect([path, get(path).status]).to eq([path, 404]) }
      mine = Records::Account[other.id].classrooms.first
      expect(get("/own/#{mine.id}/parts/#{shelf.first.id}").status).to eq(404)
      expect(get("/own/#{mine.id}/lesson/#{part.id}").status).to eq(404)
      expect(get("/items/#{mine.id}/#{part.id}").status).to eq(404)
    end
  end
end
