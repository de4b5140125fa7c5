# frozen_string_literal: true

require "app_helper"

# What records answer where one line decides, each by itself.
RSpec.describe Records do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:ada) { room.children.first }

  def hear(posed, child: ada, code: "count_on", **more)
    recorder = Records::Recorder.new(room, teacher[0])
    recorder.record(child: child, problem: posed, code: code, client_key: SecureRandom.uuid,
                    happened_at: Time.now, **more)
  end

  it "seats a child, whoever sits there taking the seat that gets free" do
    seating = Records::Seating.new(room)
    one, other = room.children.first(2)
    seating.put(one, 3)
    seating.put(other, 5)
    seating.put(one, 5)
    expect([one, other].map { |child| child.refresh.seat }).to eq([5, 3])
    seating.put(one, nil)
    expect([one, other].map { |child| child.refresh.seat }).to eq([nil, 3])
  end

  it "sums up an answer in a line, with help where there was some" do
    lines = [{}, { help: "prompted" }, { answer: 13, used: ["fingers"] }].map do |more|
      hear(pose(room), **more)
      Records::Observation.standing.where(classroom_id: room.id).order(:id).last.summary
    end
    expect(lines).to eq(["count on", "count on, prompted", "count on, said 13, fingers"])
  end

  it "asks in which year a new class is, and keeps it among its settings" do
    sign_in teacher[0]
    get "/account"
    years = Nokogiri::HTML5(last_response.body).css("select[name=year] option").map { |option| option["value"] }
    expect(years).to eq(%w[first kindergarten])
    send_form "/account/classes", name: "Room 10", year: "kindergarten"
    made = Records::Classroom[last_response.location[/\d+\z/].to_i]
    expect([made.name, made.setting("year"), room.setting("year")]).to eq(["Room 10", "kindergarten", "first"])
    get "/account"
    send_form "/account/classes", name: "Room 11", year: "ninth"
    expect(last_response.status).to eq(422)
  end

  it "is named with its school, where it has one" do
    expect(room.named).to eq("Room 9")
    room.update(school: "Quay School")
    expect(room.named).to eq("Room 9, Quay School")
  end

  it "finds the day before and after one on which somebody was heard" do
    days = [3, 2, 1].map { |back| room.today - back }
    days.each { |day| hear(pose(room, day: day)) }
    expect([room.heard_before(days[1]), room.heard_up_to(days[1]), room.heard_after(days[1])]).to eq(days)
    expect([room.heard_before(days[0]), room.heard_after(days[2])]).to eq([nil, nil])
  end

  it "knows no name that is not of a value" do
    expect(Records::Details.of({ "options" => {}, "for" => [3] }).children).to eq([3])
    expect { Records::Details.of({ "elephants" => 3 }) }.to raise_error(KeyError)
  end

  it "shifts a part to the end and no further" do
    course = room.start_lesson(room.today).course
    %w[twins toss quick_look].each { |kind| course.plan(kind) }
    2.times { course.shift(course.parts.find { |part| part.kind == "twins" }, 1) }
    course.shift(course.parts.last, 1)
    expect(course.parts.map(&:kind)).to eq(%w[toss quick_look twins])
  end

  it "has met what was there up to a day, but for one part" do
    course = room.lesson_for(room.today + 1).course
    twins, = %w[twins toss].map { |kind| course.plan(kind) }
    met = ->(**more) { Records::Met.new(room, room.today).last(up_to: room.today + 1, **more).keys.map(&:last) }
    expect(met.call).to include("twins", "toss")
    expect(met.call(except: twins)).to include("toss").and(satisfy { |ids| !ids.include?("twins") })
    expect(Records::Met.new(room, room.today).last(up_to: room.today)).to eq({})
  end

  it "asks in a check-in what was not answered yet, and says why that" do
    Records::CheckIn.open(ada, operation: "add", band: "to10")
    check_in = Records::CheckIn.where(child_id: ada.id).first
    first = check_in.current
    expect([first.check_in_id, check_in.why]).to match([check_in.id, /\A[A-Z].*\.\z/])
    hear(first)
    expect(check_in.current).to be_nil
    check_in.go_on
    expect(check_in.current.id).to be > first.id
  end

  it "offers on a day what the last lesson left, once it is over" do
    week = -> { Records::Week.new(Records::Classroom[room.id], room.today - (room.today.cwday - 1)) }
    before = room.lesson_for(room.today - 1)
    %w[twins toss].each { |kind| before.course.plan(kind) }
    expect(week.call.left_over(room.today)).to eq([room.today, before])
    today = room.lesson_for(room.today)
    today.course.plan("toss")
    today.course.go(today.course.parts.first)
    expect(week.call.left_over(room.today)&.last).to eq(before)
    room.mark_off([room.today])
    expect(week.call.left_over(room.today)).to be_nil
  end

  it "lists the rungs that a problem on the board has a way for" do
    lesson = room.start_lesson(room.today)
    part = lesson.course.plan("ten_and_some")
    lesson.course.go(lesson.course.part(part.id))
    on_board = lesson.refresh.on_board
    expect(on_board.rungs.map(&:level)).to eq(on_board.item.problem.paths.map(&:rung).uniq.sort)
    expect([on_board.sentence?, on_board.ways?]).to eq([false, false])
    lesson.command("sentence", nil)
    expect(lesson.refresh.on_board.sentence?).to be(true)
  end
end
