# frozen_string_literal: true

require "app_helper"

RSpec.describe "Looking at what was heard" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:recorder) { Records::Recorder.new(room, teacher[0]) }
  let(:ada) { room.children.first }

  before { sign_in teacher[0] }

  def body = last_response.body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " ")

  def hear(child, code, days_ago: 0, numbers: [9, 5], **details)
    at = Time.now - (days_ago * 86_400)
    recorder.record(child: child, problem: pose(room, numbers, day: room.today - days_ago, at: at), code: code,
                    client_key: SecureRandom.uuid, happened_at: at, **details)
  end

  it "finds exactly the records behind a figure" do
    hear(ada, "count_on", days_ago: 40)
    key = hear(ada, "count_on", answer: 13).first_key
    hear(ada, "make_ten", numbers: [8, 7])
    { "key=#{key}" => 1, "rung=2" => 2, "rung=2&days=28" => 1, "fact=5.9" => 2, "slip=whole.start_counted" => 1,
      "operation=subtract" => 0, "band=bridge&rung=4" => 1, "band=family:near_double" => 1 }.each do |query, count|
      get "/climb/#{room.id}/children/#{ada.id}/records?#{query}"
      expect([query, body[/(\d+) records?/, 1].to_i]).to eq([query, count])
    end
    get "/climb/#{room.id}/children/#{ada.id}/records?fact=lots"
    expect(last_response.status).to eq(422)
  end

  it "asks one child a proposed problem, while the board stays as it is" do
    posed = pose(room, [9, 5])
    posed.lesson.put_on_board(posed)
    get "/climb/#{room.id}/children/#{ada.id}"
    send_form "/climb/#{room.id}/children/#{ada.id}/ask", equation: "8 + 6 = □"
    asked = room.problems_dataset.reverse(:id).first
    expect(last_response.headers["location"]).to end_with("/listen/#{room.id}?problem=#{asked.id}&child=#{ada.id}")
    expect([asked.equation, posed.lesson.refresh.board.problem]).to eq(["8 + 6 = □", posed.id])
  end

  it "poses what tells likely slips apart as it was told: a story as one, a bare equation as one" do
    bare = Rungs::Activity::POSED.data_for(Rungs::Problem::Equation.parse("9 + 5 = □").to_problem, "")
    [pose(room, [9, 5]), room.start_lesson(room.today).course.tell([bare])].each do |posed|
      heard = recorder.record(child: ada, problem: posed, code: "count_on", answer: 13, happened_at: Time.now,
                              client_key: SecureRandom.uuid)
      get "/listen/#{room.id}?problem=#{posed.id}"
      send_form "/listen/#{room.id}/records/#{heard.first_key}/probe"
      expect([last_response.status, room.problems_dataset.reverse(:id).first.id > posed.id]).to eq([302, true])
    end
  end

  it "shows a slip that came twice, with its days and what to ask" do
    2.times { |days| hear(ada, "count_on", days_ago: days * 3, answer: 13) }
    get "/climb/#{room.id}/children/#{ada.id}"
    expect(body).to include("The starting number counted as a step", "Where were you before you started counting?")
  end

  it "counts strategies by the weeks of the class's own days" do
    hear(ada, "count_on", days_ago: 14)
    2.times { hear(ada, "make_ten") }
    weeks = Records::Distribution.new(room).by_week("add", from: room.today - 60)
    expect(weeks.map(&:counts)).to eq([[0, 1, 0, 0, 0], [0, 0, 0, 2, 0]])
    expect(weeks.map { |bar| bar.title.wday }).to eq([1, 1])
  end

  it "sees movement between any two days" do
    6.times { |index| hear(ada, "count_all", days_ago: 60 - index) }
    8.times { |index| hear(ada, "make_ten", days_ago: 8 - index) }
    row = ->(query) { get("/climb/#{room.id}?#{query}").body[%r{<tr>.*?Ada.*?</tr>}m] }
    expect(row["from=28&to=0"]).to include("moved-up")
    expect(row["from=58&to=30"]).not_to include("moved-up")
    expect(row["from=58&to=30"]).to include("cell-1")
    expect(row["from=28&to=0"]).to include("cell-4")
  end

  it "looks back on the last day somebody was heard, not on one that was only planned" do
    hear(ada, "count_on", days_ago: 3)
    pose(room, [8, 7])
    get "/back/#{room.id}"
    expect(body).to include("1 child heard, 1 answer to 1 problem")
  end

  it "looks back: who, what moved, what slipped, who was missed and who was only away" do
    hear(ada, "count_on", answer: 13)
    DB[:absences].insert(classroom_id: room.id, child_id: room.children[1].id, day: room.today)
    get "/back/#{room.id}"
    expect(body).to include("1 child heard, 1 answer to 1 problem", "The starting number counted as a step : Ada",
                            "Cleo, Dag, Eda", "Away: Bo")
    back = Records::LookBack.new(room, Records::Evidence.new(room), room.today - 7, room.today)
    expect([back.heard.map(&:name), back.away, back.following.size]).to eq([["Ada"], [], 0])
    expect(body).to include("Not enough was heard for a proposal")
  end

  it "lists again without a child who turns out to be away, and with the turn kept" do
    get "/today/#{room.id}"
    send_form "/lesson/#{room.id}/go", to: "start"
    get "/today/#{room.id}"
    expect(body).to include("Ada has not been heard yet")
    get "/hear/#{room.id}"
    send_form "/hear/#{room.id}/away", child: ada.id, day: room.today.iso8601, away: "true"
    get "/today/#{room.id}"
    expect(body).not_to include("Ada has not been heard yet")
    get "/hear/#{room.id}"
    send_form "/hear/#{room.id}/away", child: ada.id, day: room.today.iso8601, away: "false"
    get "/today/#{room.id}"
    expect(body).to include("Ada has not been heard yet")
    hear(ada, "count_on")
    get "/today/#{room.id}"
    expect(body).to include("Ada was heard today")
  end

  it "tells what moved from the first rung that stood where nothing was heard before, and proposes by what is clear" do
    bo = room.children[1]
    { 20 => "count_all", 19 => "count_all", 18 => "count_all", 4 => "make_ten", 3 => "make_ten", 2 => "make_ten",
      1 => "make_ten" }.each do |ago, code|
      day = room.today - ago
      posed = pose(room, [9, 5], day: day, at: room.midnight(day) + 36_000)
      hear(bo, code, problem_id: posed.id, happened_at: room.midnight(day) + 36_100)
    end
    back = Records::LookBack.new(room, Records::Evidence.new(room), room.today - 91, room.today)
    expect(back.moved.map { |each| [each.child, each.from, each.to] }).to eq([[bo, 1, 4]])
    expect(get("/back/#{room.id}?view=term").body).not_to include("widen", "Nobody’s working rung changed")
  end

  it "says at each fact how whoever is chosen works it, and nothing of anybody where nobody is" do
    hear(ada, "count_on")
    labels = lambda do |query|
      get "/numbers/#{room.id}?operation=add&#{query}"
      last_response.body.scan(/9 \+ 5 = 14: ([^"<]+)/).flatten.first
    end
    expect(labels.call("children[]=#{ada.id}")).to match(/\Ainvites .*, Ada: (?!not heard)/)
    expect(labels.call("children[]=#{room.children.last.id}")).to include("#{room.children.last.name}: not heard")
    expect(labels.call("children[]=#{ada.id}&children[]=#{room.children.last.id}")).to include("most of them: ")
  end

  it "takes the numbers that were chosen on the square, or those that invite a rung where one is asked for" do
    taken = lambda do |query|
      get "/numbers/#{room.id}?operation=add&#{query}"
      Nokogiri::HTML5(last_response.body).css("input[name='facts[]']").map { |each| each["value"] }
    end
    expect(taken["facts[]=5.4&facts[]=9.3&facts[]=5.4"]).to eq(%w[5.4 9.3])
    inviting = taken["facts[]=5.4&rung=4"]
    expect([inviting.size, inviting.include?("5.4")]).to match([be > 2, false])
  end

  it "plans numbers and groups for the next lesson, where today's has ended" do
    pose(room, [9, 5])
    room.lesson_on(room.today).finish
    get "/numbers/#{room.id}"
    send_form "/numbers/#{room.id}", operation: "add", "facts[]": "5.4"
    get "/groups/#{room.id}"
    send_form "/groups/#{room.id}/save", groups: room.children.map(&:id).join(".")
    coming = room.lessons_dataset.first(Sequel[:held_on] > room.today)
    expect(coming.course.parts.map { |part| part.items.item(0).equation }).to eq(["5 + 4 = □"])
    expect([coming.groups.flatten, room.lesson_on(room.today).ended_at]).to match([room.children.map(&:id), Time])
  end

  it "moves a child to another group, names a pair that is together against the wish, and refuses what cannot be" do
    ids = room.children.map(&:id)
    2.times { room.children.first(2).each { |child| hear(child, "count_on") } }
    get "/groups/#{room.id}"
    send_form "/groups/#{room.id}/apart", one: ids[0], other: ids[1]
    expect(room.refresh.settings["apart"].to_a.map(&:to_a)).to eq([ids.first(2)])
    get "/groups/#{room.id}?least=2&most=3"
    groups = last_response.body[/name="groups" value="([^"]+)"/, 1].split("_").map do |group|
      group.split(".").map(&:to_i)
    end
    expect(groups.flatten).to match_array(ids)
    expect(groups.none? { |group| (ids.first(2) - group).empty? }).to be(true)
    place = groups.index { |group| group.include?(ids[1]) }
    send_form "/groups/#{room.id}/move?least=2&most=3", groups: groups.map { |group|
      group.join(".")
    }.join("_"), item: ids[0], place: place
    expect(body).to include("Ada and Bo are together, and were to be apart")
    send_form "/groups/#{room.id}/apart", one: ids[0], other: ids[1], together: "true"
    expect(room.refresh.settings["apart"].to_a).to eq([])
    { "move" => [{ groups: "1", item: 999_999_999, place: 0 }, { groups: "x", item: ids[0], place: 0 }],
      "apart" => [{ one: ids[0], other: ids[0] }, { one: ids[0], other: 999_999_999 }] }.each do |path, forms|
      forms.each do |form|
        get "/groups/#{room.id}"
        send_form "/groups/#{room.id}/#{path}", **form
        expect([form, last_response.status]).to satisfy { |_, status| [404, 422].include?(status) }
      end
    end
    get "/groups/#{room.id}?least=4&most=4"
    expect(body).to include("5 children do not go into groups of 4 to 4")
  end

  describe "a note for a family" do
    it "is drafted in plain words from what was heard, with no rung's name and no other child" do
      4.times { |index| hear(ada, "count_on", days_ago: index, move: "on_first") }
      get "/notes/#{room.id}/#{ada.id}"
      expect(body).to include("Ada keeps one number in the head and counts on",
                              "Ada solved 9 + 5 = 14: Nine … ten, eleven")
      expect(body).not_to include("“Nine")
      Rungs::Strategy::Rung::ALL.each do |rung|
        expect(Records::FamilyNote.parts_of(ada,
                                            Records::FamilyNote::Source.new(ada, Records::Evidence.new(room),
                                                                            room.today)).values.join).not_to include(
                                                                              rung.title, "rung"
                                                                            )
      end
      expect(body).not_to include("Bo works")
    end

    it "is kept as the teacher leaves it and printed on A4 and Letter with the same drawing" do
      hear(ada, "make_ten", move: "up_through_ten")
      get "/notes/#{room.id}/#{ada.id}"
      send_form "/notes/#{room.id}/#{ada.id}", now: "Ada zählt weiter: 8 + □ = 13. Łódź, naïve – “yes”", home: "x" * 600
      { "a4" => [595, 842], "letter" => [612, 792] }.each do |paper, size|
        get "/notes/#{room.id}/#{ada.id}/#{paper}.pdf"
        expect(last_response.headers["content-type"]).to eq("application/pdf")
        expect(last_response.body).to start_with("%PDF").and include("Andika")
        expect(last_response.body[/MediaBox \[0 0 ([\d. ]+)\]/, 1].split.map { |side| side.to_f.round }).to eq(size)
      end
      expect(get("/notes/#{room.id}/#{ada.id}/a3.pdf").status).to eq(404)
      get "/notes/#{room.id}/#{ada.id}"
      send_form "/notes/#{room.id}/#{ada.id}", now: "x" * 601
      expect(last_response.status).to eq(422)
    end

    it "can be printed for a child who was never heard" do
      get "/notes/#{room.id}/#{ada.id}/a4.pdf"
      expect(last_response.status).to eq(200)
    end
  end
end
