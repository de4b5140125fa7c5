# frozen_string_literal: true

require "app_helper"

RSpec.describe "The board" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let!(:posed) { pose(room) }
  let(:lesson) { posed.lesson }

  def state = lesson.refresh.on_board
  def command(name, value = nil) = send_form("/board/#{room.id}/lessons/#{lesson.id}/commands", do: name, value: value)

  it "goes through its states by commands, and never backwards in version" do
    sign_in teacher[0]
    get "/board/#{room.id}"
    expect([state.waiting?, state.covered?]).to eq([true, true])
    versions = [["uncover"], ["uncover"], %w[step 0.2], ["draw", "4 0"], ["draw", "4 1"], ["draw", "4 1"],
                %w[draw nothing], ["draw", "9 0"]].map do |name, value|
      command(name, value)
      expect(last_response.status).to eq(200)
      lesson.refresh.board_version
    end
    expect(versions).to eq(versions.sort.uniq)
    expect([state.covered?, state.drawn?(4), state.step.layout, state.lines.last])
      .to eq([false, true, state.drawn[1].layout, "10 + 4 = 14"])
    command "explode"
    expect(last_response.status).to eq(422)
  end

  it "draws a picture or a way in the place of a step, and goes back to the step it came from" do
    sign_in teacher[0]
    get "/board/#{room.id}"
    command "step", "0.2"
    command "draw", "up_through_ten line frame 2"
    expect([state.layout.alt, state.second.alt]).to match([/jumps to 10, then 14/, /Two ten-frames/])
    command "draw", "rack"
    expect([state.drawn?("rack"), state.second]).to eq([true, nil])
    command "step", "0.4"
    expect([state.drawn, state.sentence]).to eq([nil, "9 + 5 = 14"])
  end

  it "leaves shared ways standing beside each other with what joins them, three at most, until another is drawn" do
    posed = pose(room, [8, 7])
    lesson = posed.lesson
    sign_in teacher[0]
    standing = ->(*moves) { moves.each { |move| lesson.command("stand", move) } && lesson.board.standing }
    expect(standing.call("on_first", "up_through_ten", "on_first")).to eq(%w[up_through_ten on_first])
    expect(lesson.on_board.standing.size).to eq(2)
    expect(lesson.on_board.joining).to include("Where is the ten?")
    page = get("/board/#{room.id}").body
    expect(page.scan("<figure>").size).to eq(2)
    expect(squeezed).to include("Where is the ten?", "10 + 5 = 15")
    expect(standing.call("nothing")).to eq(%w[up_through_ten on_first])
    expect(standing.call("recall", "all_objects", "5 line").size).to eq(3)
    expect(standing.call("up_through_ten").last).to eq("up_through_ten")
    lesson.command("draw", "line")
    expect(lesson.board.standing).to eq([])
  end

  it "shows a board as an earlier version kept it, whatever else it kept" do
    sign_in teacher[0]
    old = { "part" => posed.part_id, "item" => 0, "look" => 7, "flash_at" => 3.5, "hands" => { "0" => [1] } }
    lesson.update(board: Sequel.pg_jsonb(old))
    expect(get("/board/#{room.id}").status).to eq(200)
    expect([state.index, state.place, state.touched?]).to eq([0, 0, false])
    command "step", "0.1"
    expect(lesson.refresh.board.to_h.keys).not_to include("look")
  end

  it "turns to another problem, with nothing shown as at first" do
    sign_in teacher[0]
    other = pose(room, [13, 4], situation: "take_from.result", at: Time.now - 60)
    get "/board/#{room.id}"
    command "problem", posed.id
    command "uncover"
    command "problem", other.id
    expect([lesson.problem(lesson.refresh.board.problem).id, state.waiting?]).to eq([other.id, true])
    command "step", "#{state.index}.2"
    expect(state.layout.alt).to eq("13 in rows, 4 struck through")
    command "problem", pose(make_teacher[1]).id
    expect(last_response.status).to eq(404)
  end

  it "takes a problem up again whose part was taken out" do
    sign_in teacher[0]
    posed.part.delete
    before = lesson.refresh.board_version
    get "/board/#{room.id}?problem=#{posed.id}"
    expect([last_response.status, lesson.refresh.board_version]).to eq([200, before])
    send_form "/board/#{room.id}/problem", problem: posed.id
    expect(follow_redirect!.body).to include("9 and 5: how many?")
    expect(lesson.problem(lesson.refresh.board.problem).id).to eq(posed.id)
  end

  it "keeps how long each problem was looked at" do
    other = pose(room, [2, 3], at: Time.now + 1)
    lesson.put_on_board(posed)
    lesson.command("uncover")
    lesson.put_on_board(other)
    looks = DB[:showings].where(classroom_id: room.id).all
    expect(looks.map { |look| look[:problem_id] }).to eq([posed.id])
    expect(looks.first[:covered_at]).to be >= looks.first[:shown_at]
  end

  it "has a state that is the same as another of its kind that holds the same, and as nothing else" do
    state = Records::BoardState.new(item: 1)
    others = [Records::BoardState.new(item: 2), Records::Details.new(item: 1), { "item" => 1 }, nil]
    expect(others.map { |other| state == other }).to eq([false] * 4)
    expect(state).to eq(Records::BoardState.new(item: 1))
  end

  it "has at most eight things in its strip at once, the rest folded" do
    sign_in teacher[0]
    posed = pose(room, [8, 5])
    posed.lesson.put_on_board(posed)
    3.times do
      strip = Nokogiri::HTML(get("/board/#{room.id}").body).css("#strip > *")
      expect(strip.size).to be_between(4, 8)
      posed.lesson.command("step", "0.1")
      posed.lesson.command("touch", "0")
    end
  end

  it "gives the address of a board as a code that a camera reads, another for another address" do
    one, other = ["http://10.0.0.2/b/ABCDEF", "http://10.0.0.2/b/ABCDEG"].map do |address|
      Drawings::Code.draw(address, label: "the address")
    end
    expect(one).to include('aria-label="the address"')
    expect(one).not_to eq(other)
    expect(RQRCode::QRCode.new("http://10.0.0.2/b/ABCDEF").modules.flatten.count(true)).to eq(one.scan("M").size)
  end

  describe "by its code" do
    let(:code) { lesson.open_code }

    it "opens with nobody signed in, shows no name, and can change nothing but what a hand does to the picture" do
      get "/b/#{code.downcase}"
      expect(last_response.body).to include("9 and 5: how many?").and(satisfy { |body|
        !body.include?("Ada") && !body.include?("data-do=")
      })
      lesson.command("uncover")
      get "/b/#{code}"
      send_form "/b/#{code}/commands", do: "touch", value: "2"
      expect([last_response.status, state.touched?]).to eq([200, true])
      %w[step draw uncover item problem].each do |name|
        send_form "/b/#{code}/commands", do: name, value: "0.3"
        expect(last_response.status).to eq(422)
      end
      lesson.command("as_it_was")
      lesson.command("uncover")
      expect(get("/b/#{code}/screen").status).to eq(200)
      get "/b/"
      send_form "/board/#{room.id}/lessons/#{lesson.id}/commands", do: "uncover"
      expect(last_response.location).to eq("/account/login")
      ["/b/#{code}/records", "/b/#{code}/../listen/#{room.id}"].each do |path|
        expect(get(path).status).to eq(404).or eq(302)
      end
      expect(state.covered?).to be(true)
    end

    it "dies with the lesson, and with its day" do
      expect(get("/b/#{code}").status).to eq(200)
      lesson.update(held_on: room.today - 1)
      expect(get("/b/#{code}").status).to eq(404)
      lesson.update(held_on: room.today)
      sign_in teacher[0]
      get "/today/#{room.id}"
      send_form "/lesson/#{room.id}/go", to: "stop"
      expect(get("/b/#{code}").status).to eq(404)
      send_form "/lesson/#{room.id}/go", to: "start"
      expect(lesson.refresh).to have_attributes(ended_at: nil, code: nil)
    end

    it "is typed in, and refused kindly where it is none" do
      get "/b/", code: " #{code.downcase} "
      expect(last_response.location).to end_with("/b/#{code}")
      expect(get("/b/", code: "abc").body).to include("A code is six letters")
      expect(get("/b/ZZZZZZ").status).to eq(404)
      expect(last_response.body).to include('value="ZZZZZZ"', "No board has this code now.")
      expect(lesson.refresh.open_code).to eq(code)
    end

    it "tells other machines the name it was asked by, or its own address where that one leads nowhere for them" do
      sign_in teacher[0]
      lesson.put_on_board(posed)
      own = Socket.ip_address_list.find { |each| each.ipv4? && !each.ipv4_loopback? }&.ip_address
      lesson.refresh.open_code
      told = [true, false].map do |loopback|
        allow(Settings).to receive(:loopback?).and_return(loopback)
        squeezed(get("/listen/#{room.id}?problem=#{posed.id}"))[%r{([^ >:]+)[:0-9]*<strong>/b/}, 1]
      end
      expect(told).to eq(["127.0.0.1", own || "127.0.0.1"])
    end

    it "gives each lesson a code of its own" do
      expect(Array.new(30) { make_teacher(children: [])[1].start_lesson(Date.today).open_code }.uniq.size).to eq(30)
    end
  end

  describe Live::LessonEvents do
    it "tells every window of that lesson, once it changes, in any process, and lets go of those that left" do
      here, there = UNIXSocket.pair
      events = described_class.new
      events.add(lesson.id, there, lesson.board_version)
      expect(here.readpartial(200)).to include("data: #{lesson.board_version}")
      sleep 0.3
      DB.notify(:rungs_board, payload: lesson.id.to_s)
      expect(here.wait_readable(5)).not_to be_nil
      expect(here.readpartial(200)).to include("id: #{lesson.board_version}")
      here.close
      3.times { DB.notify(:rungs_board, payload: lesson.id.to_s) && sleep(0.1) }
      expect(events.size(lesson.id)).to eq(0)
    end

    it "lets go of a person's windows when a session of theirs ends, of nobody else's" do
      sign_in teacher[0]
      events = described_class.new
      mine, other = [teacher[0].id, 0].map do |own|
        UNIXSocket.pair.tap { |_, there| events.add(lesson.id, there, 1, own: own) }.first
      end
      sleep 0.3
      send_form "/account/logout"
      50.times { events.size(lesson.id) > 1 ? sleep(0.1) : break }
      [mine, other].each { |socket| socket.readpartial(4000) }
      expect([events.size(lesson.id), mine.read(1), other.wait_readable(0)]).to eq([1, nil, nil])
      events.stop
    end
  end
end
