# frozen_string_literal: true

require "app_helper"

RSpec.describe Pages::Conduct do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:lesson) { room.start_lesson(room.today) }
  let(:ada) { room.children.first }

  def plan(kind, **options)
    lesson.course.plan(kind, details: { "options" => options.transform_keys(&:to_s), "seed" => 3 })
  end

  def page = Nokogiri::HTML5(last_response.body)
  def key = SecureRandom.uuid

  def conduct(part)
    lesson.course.go(part)
    sign_in teacher[0]
    get "/conduct/#{room.id}"
  end

  describe "what is kept on the tablet" do
    def templates(name) = page.css("template[data-#{name}]").map { |each| each["data-#{name}"] }

    it "has every step of every part, the sentences read back, and the bars of each; nothing is posed by it" do
      parts = [plan("twins"), plan("number_riddle"), plan("story_time")]
      conduct(parts[0])
      posed = room.problems_dataset.count
      get "/conduct/#{room.id}/kept"
      wanted = parts.flat_map do |part|
        (0..part.items.last).flat_map do |index|
          part.items.item(index).steps.each_index.map { |place| "#{part.id}.#{index}.#{place}" }
        end
      end
      expect(templates("at")).to eq(wanted)
      expect(templates("bars").map { |at| at.split(".").first.to_i }.uniq).to eq(parts.map(&:id))
      expect([room.problems_dataset.count,
              last_response.headers["cache-control"]]).to eq([posed, "no-store"])
      expect(last_response.body).not_to match(/data-child|data-by/)
    end

    it "is another as soon as a part or its items are others, and is not there without a lesson" do
      sign_in teacher[0]
      expect(get("/conduct/#{room.id}/kept").status).to eq(404)
      part = plan("toss")
      conduct(part)
      kept = -> { get("/conduct/#{room.id}") && page.at_css("[data-kept]")["data-kept"] }
      before = kept.call
      expect(kept.call).to eq(before)
      part.items.throw_in(0, "3")
      expect([kept.call, before].uniq.size).to eq(2)
    end
  end

  describe "a step that comes late" do
    it "begins the part it means, and leaves alone what is going on there already" do
      first, second = plan("twins"), plan("hidden_beads")
      conduct(first)
      send_form "/conduct/#{room.id}/do", do: "step", value: "1.2", part: second.id
      lesson.refresh
      expect([lesson.course.current.id, lesson.board.to_h.slice("part", "item", "step")])
        .to eq([second.id, { "part" => second.id, "item" => 1, "step" => 2 }])
      send_form "/conduct/#{room.id}/do", do: "step", value: "1.2", part: second.id
      expect(lesson.refresh.board.part).to eq(second.id)
      lesson.show_item(first, 0)
      send_form "/conduct/#{room.id}/do", do: "step", value: "0.1", part: first.id
      expect([lesson.refresh.board.part, lesson.course.current.id]).to eq([first.id, second.id])
      lesson.show_item(second, 1)
      send_form "/conduct/#{room.id}/do", htmx: true, do: "step", value: "1.3", part: second.id
      expect(squeezed).to include('id="now"', 'id="offered"').and not_include("<html")
      expect([lesson.refresh.board.step, second.runs_dataset.count]).to eq([3, 1])
    end

    it "is refused in words where its part was taken out, and where it is none of this class" do
      conduct(plan("twins"))
      other = make_teacher[1].then { |room| room.start_lesson(room.today).course.plan("twins") }
      send_form "/conduct/#{room.id}/do", htmx: true, do: "step", value: "0.1", part: other.id
      expect([last_response.status, last_response.body]).to eq([422, "That part was taken out of the lesson"])
      expect(other.refresh.begun?).to be(false)
    end
  end

  it "is where the tab Listen leads while a part goes on, and what one listens to alone stays where it was" do
    sign_in teacher[0]
    tab = -> { get("/today/#{room.id}").body[%r{href="(/\w+)/#{room.id}"[^>]*>Listen<}, 1] }
    expect(tab.call).to eq("/listen")
    lesson = room.start_lesson(room.today)
    lesson.course.go(lesson.course.plan("two_groups", details: { options: {}, seed: 3 }))
    expect(tab.call).to eq("/conduct")
    expect(get("/listen/#{room.id}").status).to eq(200)
    expect(get("/conduct/#{room.id}").body).to include('aria-current="page">Listen<')
  end

  it "names beside each set of a story's numbers the children whose they are" do
    part = lesson.course.plan("story_time",
                              details: { "sets" => [{ level: "easier", children: [ada.id] }], "count" => 0 })
    part.items.add([[2, 3, "easier"], [9, 5, "middle"]].map do |one, two, set|
      problem = Rungs::Problem.from_story("add_to.result", [one, two])
      Rungs::Activity::POSED.data_for(problem, "#{one} and #{two}", number_set: set)
    end)
    conduct(lesson.course.part(part.id))
    expect(page.css(".number-sets .soft").map { |each| each.text.strip }).to eq(["Ada"])
  end

  it "is looked at without anything being posed" do
    conduct(plan("story_time"))
    lesson.refresh.change_board { Records::BoardState.new }
    before = room.problems_dataset.count
    %w[conduct board listen today].each { |page| expect(get("/#{page}/#{room.id}").status).to eq(200) }
    expect(get("/conduct/#{room.id}/kept").status).to eq(200)
    expect([before, room.problems_dataset.count]).to eq([1, 1])
  end

  it "takes an answer to an item that nothing was shown of yet, and poses it then" do
    part = plan("twins")
    Records::PartRun.create(part_id: part.id)
    sign_in teacher[0]
    get "/conduct/#{room.id}"
    shown = page.at_css("#listen")
    expect([shown["data-problem"], room.problems_dataset.count]).to eq(["", 0])
    expect(last_response.body).not_to include("Draw a way on the board")
    send_form "/listen/#{room.id}/records", htmx: true, child_id: ada.id, part_id: shown["data-part"],
                                            item: shown["data-item"], equation: shown["data-equation"], client_key: key,
                                            code: "count_on", happened_at: Time.now.iso8601
    expect([last_response.status, room.observations_dataset.count]).to eq([200, 1])
    expect(room.problems_dataset.first).to have_attributes(part_id: part.id, item: 0)
  end

  describe "what waited for a connection" do
    it "keeps a record of an item that was not posed yet, once" do
      part = plan("twins")
      conduct(part)
      record = { child_id: ada.id, part_id: part.id, item: 3, code: "count_on", client_key: key }
      2.times { send_form "/listen/#{room.id}/records", htmx: true, **record }
      expect(last_response.status).to eq(200)
      expect(room.observations.map { |each| [each.child_id, each.posed_problem.item] }).to eq([[ada.id, 3]])
      send_form "/listen/#{room.id}/records", htmx: true, **record.except(:part_id), client_key: key
      expect(last_response.status).to eq(422)
      theirs = make_teacher[1].then { |other| other.start_lesson(other.today).course.plan("twins") }
      send_form "/listen/#{room.id}/records", htmx: true, **record, part_id: theirs.id, client_key: key
      expect([last_response.status, room.observations_dataset.count]).to eq([404, 1])
    end

    it "keeps a way once, however often it is sent, and tells it to the page" do
      part = plan("twins")
      conduct(part)
      sum = part.items.item(0).answer
      way = { part_id: part.id, item: 0, written: "#{sum - 1} + 1", child_id: ada.id, client_key: key }
      2.times { send_form "/conduct/#{room.id}/ways", htmx: true, **way }
      expect(page.css("figcaption").map { |each| each.text.split.join(" ") }).to eq(["#{sum - 1} + 1 = #{sum} A"])
      send_form "/conduct/#{room.id}/ways", htmx: true, **way, client_key: key
      expect(page.at_css("figcaption").text).to include("×2")
      send_form "/conduct/#{room.id}/ways", htmx: true, **way, written: "90 + 9", client_key: key
      expect([last_response.status, last_response.body]).to match([422, /90 \+ 9 is 99/])
    end
  end

  it "takes down the rung a child showed where nothing is posed, and only one that shows there" do
    part = plan("quick_look")
    conduct(part)
    get "/conduct/#{room.id}?by=#{ada.id}"
    expect(page.css("select[name=child_id] [selected]").map { |each| each["value"] }).to eq([ada.id.to_s])
    expect(page.css(".children [aria-current]").map { |each| each["data-name"] }).to eq(["Ada"])
    expect(page.at_css("#now").text).to include("Covered on the board")
    words = part.items.offered.sounds(0)
    expect(page.css(".conducting-heard .bar").map { |each| each["value"] }).to eq(words.keys.reverse)
    taken = { part_id: part.id, item: 0, rung: "known_fact", child_id: ada.id, client_key: key }
    send_form "/conduct/#{room.id}/ways", htmx: true, **taken
    expect(Records::Way.given_by(ada).map(&:text)).to eq([words["known_fact"]])
    send_form "/conduct/#{room.id}/ways", htmx: true, **taken, rung: "count_on", client_key: key
    expect([last_response.status, last_response.body]).to match([422, /does not show here/])
    posed = plan("twins")
    send_form "/conduct/#{room.id}/ways", htmx: true, **taken, part_id: posed.id, client_key: key
    expect([last_response.status, room.observations_dataset.count]).to eq([422, 0])
  end

  it "keeps what hands did on the picture as a way, and refuses where they did nothing that says a sum" do
    conduct(plan("jump_track"))
    start = lesson.course.current.items.item(0).data[:start]
    send_form "/conduct/#{room.id}/ways", htmx: true, item: 0, hands: true, client_key: key
    expect([last_response.status, last_response.body]).to match([422, /nothing was done by hand/])
    lesson.refresh.on_board.places.each_index.first(3).each { |place| lesson.command("touch", place.to_s) }
    said = lesson.refresh.on_board.sentence
    send_form "/conduct/#{room.id}/ways", htmx: true, item: 0, hands: true, child_id: ada.id, client_key: key
    expect([said, Records::Way.given_by(ada).map(&:text)]).to match([/\A#{start} /, [said]])
  end

  it "reads all sentences back at the end, where there is nothing to record" do
    part = plan("two_groups")
    conduct(part)
    following = lambda do |item|
      lesson.command("step", "#{item}.#{part.items.item(item).steps.size - 1}")
      get "/conduct/#{room.id}"
      page.at_css(".button-large").text.strip
    end
    last = part.items.size - 1
    expect([last - 1, last].map(&following)).to match([/The next one/, /Read them all/])
    lesson.command("step", "#{part.items.size}.0")
    get "/conduct/#{room.id}"
    sentences = Array.new(part.items.size) { |index| part.items.item(index).written }
    expect(page.css(".read-back li").map(&:text)).to eq(sentences)
    expect([page.at_css("h1").text, page.at_css("#rungs")]).to eq(["Read them all. What do you notice?", nil])
    get "/board/#{room.id}"
    expect(page.css(".board-many li").map { |each| each.text.strip }).to eq(sentences)
  end

  it "takes a part out of the lesson and off the board, and keeps what was heard in it" do
    part = plan("twins")
    conduct(part)
    Records::Recorder.new(room, teacher[0]).record(child: ada, problem: part.items.posed(0), code: "count_on",
                                                   client_key: key, happened_at: Time.now)
    get "/lesson/#{room.id}"
    send_form "/lesson/#{room.id}/parts/#{part.id}", do: "remove"
    expect([lesson.refresh.board.to_h, lesson.course.parts, room.observations_dataset.count]).to eq([{}, [], 1])
    expect(get("/conduct/#{room.id}").body).to include("Nothing is going on")
  end
end

RSpec.describe Live::Screens do
  it "draws a board once for all its windows, and lets the oldest go" do
    drawn = 0
    screens = described_class.new
    3.times { expect(screens.fetch([1, 1]) { "board #{drawn += 1}" }).to eq("board 1") }
    expect(screens.fetch([1, 2]) { "board #{drawn += 1}" }).to eq("board 2")
    (described_class::MOST - 2).times { |index| screens.fetch([2, index]) { "board of #{index}" } }
    expect(screens.fetch([1, 1]) { "board #{drawn += 1}" }).to eq("board 1")
    screens.fetch([3, 1]) { "board #{drawn}" }
    expect(screens.fetch([1, 2]) { "board #{drawn += 1}" }).to eq("board 2")
    expect(screens.fetch([1, 1]) { "board #{drawn += 1}" }).to eq("board 3")
  end
end
