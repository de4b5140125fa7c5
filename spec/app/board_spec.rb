# frozen_string_literal: true

require "app_helper"

RSpec.describe "The board" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let!(:posed) { pose(room) }
  let(:lesson) { posed.lesson }

  def state = Pages::Board::State.new(lesson.refresh.board.to_h, lesson.on_board)
  def command(name, value = nil) = send_form("/board/#{room.id}/lessons/#{lesson.id}/commands", do: name, value: value)

  it "goes through its states by commands, and never backwards in version" do
    sign_in teacher[0]
    get "/board/#{room.id}"
    versions = [%w[cover], %w[cover], %w[picture frame], %w[sentence], %w[way 4], %w[way 4], %w[way 4],
                %w[picture nothing], %w[way 9]].map do |name, value|
      command(name, value)
      expect(last_response.status).to eq(200)
      lesson.refresh.board_version
    end
    expect(versions).to eq(versions.sort.uniq)
    expect([state.show, state.kind.id, state.way.rung.level, state.step,
            state.lines.last]).to eq(["shown", "frame", 4, 1, "10 + 4 = 14"])
    command "explode"
    expect(last_response.status).to eq(422)
  end

  it "turns to another problem, covered as at first" do
    sign_in teacher[0]
    other = pose(room, [13, 4], situation: "take_from.result", at: Time.now - 60)
    get "/board/#{room.id}"
    command "cover"
    command "problem", other.id
    expect([lesson.refresh.on_board.id, state.show]).to eq([other.id, "absent"])
    command "strike"
    expect([state.show, state.struck?, state.layout.alt]).to eq(["shown", true, "13 in rows, 4 struck through"])
    command "problem", pose(make_teacher[1]).id
    expect(last_response.status).to eq(404)
  end

  it "keeps how long each problem was looked at" do
    other = pose(room, [2, 3], at: Time.now + 1)
    lesson.put_on_board(posed)
    lesson.change_board { |data, on| Pages::Board::State.new(data, on).after("cover") }
    lesson.put_on_board(other)
    looks = DB[:showings].where(classroom_id: room.id).all
    expect(looks.map { |look| look[:problem_id] }).to eq([posed.id])
    expect(looks.first[:covered_at]).to be >= looks.first[:shown_at]
  end

  describe "by its code" do
    let(:code) { lesson.open_code }

    it "opens with nobody signed in, shows no name, and can change nothing" do
      get "/b/#{code.downcase}"
      expect(last_response.body).to include("9 and 5: how many?").and(satisfy { |body|
        !body.include?("Ada") && !body.include?("data-do=")
      })
      expect(get("/b/#{code}/screen").status).to eq(200)
      get "/b/"
      send_form "/board/#{room.id}/lessons/#{lesson.id}/commands", do: "cover"
      expect(last_response.location).to eq("/account/login")
      ["/b/#{code}/commands", "/b/#{code}/records", "/b/#{code}/../listen/#{room.id}"].each do |path|
        expect(get(path).status).to eq(404).or eq(302)
      end
      expect(state.show).to eq("absent")
    end

    it "dies with the lesson, and with its day" do
      expect(get("/b/#{code}").status).to eq(200)
      lesson.update(held_on: room.today - 1)
      expect(get("/b/#{code}").status).to eq(404)
      lesson.update(held_on: room.today)
      sign_in teacher[0]
      get "/today/#{room.id}"
      send_form "/board/#{room.id}/end"
      expect(get("/b/#{code}").status).to eq(404)
      send_form "/lesson/#{room.id}/go", to: "start"
      expect(lesson.refresh).to have_attributes(ended_at: nil, code: nil)
    end

    it "is typed in, and refused kindly where it is none" do
      get "/b/", code: " #{code.downcase} "
      expect(last_response.location).to end_with("/b/#{code}")
      expect(get("/b/", code: "abc").body).to include("A code is five letters")
      expect(get("/b/ZZZZZ").status).to eq(404)
      expect(Array.new(30) { make_teacher(children: [])[1].start_lesson(Date.today).open_code }.uniq.size).to eq(30)
    end
  end

  describe Live::BoardEvents do
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
  end
end
