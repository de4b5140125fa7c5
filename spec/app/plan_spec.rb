# frozen_string_literal: true

require "app_helper"

RSpec.describe "Posing" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }

  before { sign_in teacher[0] }

  def numbers = last_response.body.scan(/name="numbers\[\]"[^>]*value="(\d+)"/).flatten.map(&:to_i)

  it "writes a story with the numbers asked for, in the band asked for" do
    %w[to5 to10 bridge].product(%w[add_to.result take_from.result together.total]).each do |band, situation|
      get "/plan/#{room.id}", band: band, situation: situation
      problem = Rungs::Problem.from_story(situation, numbers)
      expect(problem.band).to eq(band)
    end
  end

  it "never gives a problem again in one lesson, and says when there is none left" do
    seen = Array.new(6) do
      get "/plan/#{room.id}", band: "to5", situation: "add_to.result"
      told = numbers
      send_form "/plan/#{room.id}/problems", situation: "add_to.result", words: "#{told.join(' and ')}: how many?",
                                             "numbers[]": told
      told.sort
    end
    expect(seen.uniq.size).to eq(6)
    get "/plan/#{room.id}", band: "to5", situation: "add_to.result"
    expect(last_response.body).to include("0 left")
  end

  it "gives a different one when another is asked for" do
    20.times do
      get "/plan/#{room.id}", band: "to5", situation: "together.total", instead_of: "2 3", "numbers[]": [2, 3]
      expect(numbers.sort).not_to eq([2, 3])
    end
  end

  it "takes the teacher's numbers into the same story, and refuses those that make no problem" do
    get "/plan/#{room.id}", situation: "take_from.result", template: "kites/take_from.result/1", names: "Hana,Leif",
                            "numbers[]": [13, 4]
    expect(last_response.body).to include("13 kites are in the sky. 4 come down.")
    get "/plan/#{room.id}", situation: "take_from.result", template: "kites/take_from.result/1", names: "Hana,Leif",
                            "numbers[]": [4, 13]
    expect(last_response.body).to include("4 is less than 13")
  end

  it "tells another story where the one named has no room for the numbers, or its people are not two" do
    words = lambda do |**more|
      get "/plan/#{room.id}", situation: "take_from.result", template: "kites/take_from.result/1", **more
      last_response.body
    end
    expect(words.call(names: "Hana,Leif", "numbers[]": [13, 4])).to include("13 kites are in the sky")
    ["Xeno", "Xeno,Xeno", "Xeno,Yara,Zed"].each do |names|
      expect(words.call(names: names, "numbers[]": [13, 4])).to include("13").and not_include("Xeno")
    end
    get "/plan/#{room.id}", situation: "add_to.result", template: "kites/take_from.result/1", names: "Hana,Leif",
                            "numbers[]": [9, 4]
    expect(last_response.body).to include("9").and not_include("13 kites are in the sky")
  end

  it "keeps changed words, and refuses words that lost a number, with all that was typed" do
    get "/plan/#{room.id}"
    send_form "/plan/#{room.id}/problems", situation: "add_to.result", words: "Some crabs, then 4 more. How many?",
                                           "numbers[]": [3, 4]
    expect(last_response.status).to eq(422)
    expect(last_response.body).to include("The story must still say 3", "Some crabs, then 4 more.")
    send_form "/plan/#{room.id}/problems", situation: "add_to.result", words: "3  crabs,\n then 4 more. How many?",
                                           "numbers[]": [3, 4]
    expect(room.problems_dataset.last.values).to include(story: "3 crabs, then 4 more. How many?", operation: "add",
                                                         band: "to10", affords: [1, 2, 3, 5])
    send_form "/plan/#{room.id}/problems", words: "nothing"
    expect(last_response.status).to eq(422)
  end
end

RSpec.describe "One story with several sets of numbers" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:path) { "/plan/#{room.id}" }
  let(:page) { Nokogiri::HTML5(get("#{path}?situation=add_to.result&band=to10&numbers[]=6&numbers[]=3").body) }

  before do
    sign_in teacher[0]
    heard(room.children.first, [2, 3], code: "count_all")
    heard(room.children.last, [28, 5], code: "make_ten")
  end

  def heard(child, parts, code:)
    recorder = Records::Recorder.new(room, teacher[0])
    3.times do |time|
      posed = pose(room, parts.rotate(time), at: Time.now - (86_400 * (time + 1)))
      recorder.record(child: child, problem: posed, code: code, happened_at: posed.posed_at,
                      client_key: SecureRandom.uuid)
    end
  end

  def set(level) = page.css(".story-set").find { |each| each.text.include?(level) }
  def told(level) = set(level).css("input[type=number]").map { |input| input["value"].to_i }

  def pose_sets(**more)
    send_form "#{path}/problems", situation: "add_to.result", words: "6 crabs. 3 more. How many?", "numbers[]": [6, 3],
                                  "also[]": %w[easier harder], "easier[]": [2, 1], "harder[]": [16, 3], **more
    room.problems_dataset.reverse(:id).first
  end

  it "stands in three columns, each with its children and what is likely, ticked where somebody works there" do
    first, last = room.children.values_at(0, -1).map(&:name)
    expect(set("Easier").text).to include(first)
    expect(set("Harder").text).to include(last)
    expect([told("Harder"), set("Harder").at_css("input[type=hidden]")["value"]]).to eq([[6, 9], "add_to.change"])
    expect(told("Easier").sum).to be < 6
    expect(page.css("input[name='also[]'][checked]").map { |box| box["value"] }).to eq(%w[easier harder])
    expect(set("Easier").text).to include("#{first}: not heard enough").or include("#{first}: likely to")
    expect(page.css(".story-sets").text).not_to match(/\d%|0\.\d/)
  end

  it "says first where most work with other numbers, with one press to theirs, and shows no set that nobody has" do
    room.children.each { |child| heard(child, [2, 3], code: "count_all") }
    line = page.at_css(".marker-line")
    expect(line.text.squeeze).to include("5 of 5 work with smaler numbers")
    expect(line.at_css("a")["href"]).to include("band=to5")
    expect(page.css(".story-set").map { |each| each.at_css("h2").text.strip }).to eq(%w[Easier Harder])
    there = Nokogiri::HTML5(get(line.at_css("a")["href"]).body)
    expect(there.at_css(".marker-line")).to be_nil
  end

  it "tells another story to those for whom a part of it is missing" do
    pose_sets("harder[]": [6, 9], harder_situation: "add_to.change")
    harder = room.problems_dataset.first(number_set: "harder")
    expect([harder.equation, harder.situation]).to eq(["6 + □ = 9", "add_to.change"])
    expect(harder.story).to include("6", "9")
  end

  it "is kept with its sets for a part of a planned lesson, where it comes from there" do
    part = room.lesson_for(room.today + 1).course.plan("story_time", details: { "count" => 0 })
    pose_sets(part: part.id)
    expect(last_response.headers["location"]).to end_with("/lesson/#{room.id}?day=#{room.today + 1}")
    expect([part.refresh.items.size, part.details.sets.keys]).to eq([3, %w[easier middle harder]])
    pose_sets(part: make_teacher[1].lesson_for(room.today).course.plan("story_time").id)
    expect(last_response.status).to eq(404)
  end

  it "names as worth sharing first who did not share in the last two weeks" do
    ada, bo, *rest = room.children
    numbers = [[8, 5], [9, 4], [7, 5], [8, 6]]
    [ada, bo].each { |child| numbers.first(2).each { |parts| heard(child, parts, code: "make_ten") } }
    rest.each do |child|
      numbers.each { |parts| heard(child, parts, code: "count_on") }
      [[2, 8], [3, 7], [4, 6]].each { |parts| heard(child, parts, code: "make_ten") }
    end
    worth = lambda do
      body = get("#{path}?situation=add_to.result&band=bridge&numbers[]=9&numbers[]=6").body
      body[%r{Worth sharing:</strong>\s*([^.]+)\.}, 1].to_s.split(" and ")
    end
    expect(worth.call).to eq([ada, bo].map(&:name))
    Records::Way.offer({ classroom_id: room.id, problem_id: pose(room).id }, "4 + 9 = 13", child: ada)
    DB[:way_givers].update(given_at: Time.now - 86_400)
    expect(worth.call).to eq([bo, ada].map(&:name))
  end

  it "keeps no sets of a story that has one" do
    send_form "#{path}/problems", situation: "add_to.result", words: "6 crabs. 3 more. How many?", "numbers[]": [6, 3]
    expect(room.problems_dataset.reverse(:id).first.part.details.sets).to eq({})
  end

  it "gives each child the own set, on the tablet, the clipboard and the grid, and one set where that is wanted" do
    posed = pose_sets
    first, middle, last = room.children.values_at(0, 1, -1)
    own = [first, middle, last].map { |child| posed.part.refresh.items.own(posed.item - 1, child) }
    expect(own.map { |item| item - posed.item }).to eq([-2, -1, 0])
    asked = Printing::LessonPapers.new(room.lesson_on(room.today)).asked
    expect(asked.last(1).map { |each| [first, middle, last].map { |child| each.for_child(child).equation } })
      .to eq([["2 + 1 = □", "6 + 3 = □", "16 + 3 = □"]])
    cells = Nokogiri::HTML5(get("/sheets/#{room.id}/enter").body).css(".enter-cell")
    expect(cells.map { |cell| cell["data-equation"] }).to include("2 + 1 = □", "6 + 3 = □", "16 + 3 = □")
    expect(pose_sets(one: "true").number_set).to be_nil
  end
end
