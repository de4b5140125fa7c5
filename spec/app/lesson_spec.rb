# frozen_string_literal: true

require "app_helper"

# A lesson's parts, its beginning and end, and the lessons beside it.
RSpec.describe Records::Lesson do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:now) { Time.now.round }
  let(:ada) { room.children.first }

  it "a board's version goes on by one with each change" do
    lesson = pose(room).lesson
    before = lesson.refresh.board_version
    2.times { lesson.command("uncover") }
    expect(lesson.refresh.board_version).to eq(before + 2)
  end

  describe "days" do
    let(:days) { [4, 2, 0].map { |back| room.today - back } }

    before { days.each { |day| hear(at: room.midnight(day) + 36_000, day: day) } }

    it "the lesson up to a day, before it and after it are those in which somebody was heard" do
      room.start_lesson(room.today - 1)
      expect(days.map { |day| room.heard_up_to(day) }).to eq(days)
      expect(days.map { |day| room.heard_before(day) }).to eq([nil, days[0], days[1]])
      expect(days.map { |day| room.heard_after(day) }).to eq([days[1], days[2], nil])
      expect(room.heard_up_to(room.today - 1)).to eq(days[1])
    end

    it "who is heard on the day itself stands on its list by the time before" do
      list = Records::ListeningList.new(room, Records::Evidence.new(room), %w[add to10])
      expect(list.heard?(ada, room.today)).to be(true)
      expect(list.on(room.today).map(&:child)).not_to include(ada) if room.children.size > list.places
      expect(list.waiting(room.today).map(&:child)).not_to include(ada)
    end

    it "looking back has its first and its last day, and nothing after" do
      back = ->(from, to) { Records::LookBack.new(room, Records::Evidence.new(room), from, to).rows.size }
      expect([back[days[0], days[2]], back[days[0] + 1, days[2]], back[days[0], days[2] - 1]]).to eq([3, 2, 2])
      expect(Records::LookBack.new(room, Records::Evidence.new(room), days[0], days[2]).away).to eq([])
    end
  end

  describe "a lesson" do
    let(:lesson) { room.start_lesson(room.today) }
    let(:course) { lesson.course }

    it "keeps its parts in order at both ends" do
      first, second, third = %w[twins two_cards match_up].map { |kind| course.plan(kind) }
      course.shift(third, 1)
      course.shift(first, -1)
      expect(course.parts.map(&:id)).to eq([first, second, third].map(&:id))
      course.shift(course.parts[1], 1)
      expect(course.parts.map(&:id)).to eq([first, third, second].map(&:id))
      between = course.plan("by_heart", after: course.parts[0])
      expect(course.parts.map(&:id)).to eq([first, between, third, second].map(&:id))
    end

    it "can be taken by a link until forty minutes after its end, on its day" do
      expect(lesson.to_take?).to be(true)
      lesson.update(ended_at: now)
      taken = [-1, 0, 1].map { |step| Timecop.freeze(now + (40 * 60) + step) { lesson.to_take? } }
      expect(taken).to eq([true, true, false])
      lesson.update(ended_at: nil)
      expect(Timecop.freeze(now + 86_400) { lesson.to_take? }).to be(false)
    end

    it "lasts from its first part to its end, and never ends before it began" do
      expect(lesson.hours(now)).to eq([room.midnight(room.today), now])
      course.go(course.plan("twins"))
      began = course.parts.first.runs.first.started_at
      lesson.update(ended_at: began - 60)
      expect(lesson.hours(now)).to eq([began, began])
    end

    it "shares the last problem that was heard, else the last posed; two ways where there are two" do
      one, two = pose(room, [9, 5], at: now - 9), pose(room, [6, 3], at: now - 5)
      here = room.lesson_on(room.today)
      expect([here.shareable.id, here.ways_heard&.first.to_s]).to eq([two.id, here.ways_heard ? two.equation : ""])
      hear(posed: one)
      expect(room.lesson_on(room.today).shareable.id).to eq(one.id)
      expect(here.following(one).id).to eq(two.id)
      expect(here.following(two)).to be_nil
    end

    it "has an end with all its sentences where it has more than one item of a kind that is written" do
      Rungs::Activity::ALL.ids.each do |kind|
        part = course.plan(kind)
        items = part.items
        there = items.last == items.size
        expect([kind, there]).to eq([kind, items.size > 1 && part.activity.written?])
        course.take_out(part)
      end
    end

    it "takes so many presses by hand, and none beside the picture", :deep do
      part = course.plan("fill_the_frame")
      course.go(part)
      places = Records::ItemOnBoard.new(lesson.board, part.items).places.size
      skip "nothing to press" if places.zero?
      press = ->(state, place) { Records::ItemOnBoard.new(state, part.items).after("touch", place) }
      most = Records::ItemOnBoard::Commands::MOST_PRESSES
      state = (most + 3).times.reduce(lesson.board) { |before, _| press[before, places - 1] }
      expect(state.hands.size).to eq(most)
      expect([press[lesson.board, places], press[lesson.board, -1]].map { |each| each.hands.size }).to eq([0, 0])
    end
  end

  it "knows no name that is not of a value" do
    expect(Records::Details.read({ "options" => {}, "for" => [3] }).children).to eq([3])
    expect { Records::Details.read({ "elephants" => 3 }) }.to raise_error(KeyError)
  end

  it "shifts a part to the end and no further" do
    course = room.start_lesson(room.today).course
    %w[twins toss quick_look].each { |kind| course.plan(kind) }
    2.times { course.shift(course.parts.find { |part| part.kind == "twins" }, 1) }
    course.shift(course.parts.last, 1)
    expect(course.parts.map(&:kind)).to eq(%w[toss quick_look twins])
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
