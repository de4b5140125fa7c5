# frozen_string_literal: true

require "app_helper"

# Where one thing ends and another begins, just before and just after: what is kept how long, whose day it is, which of
# two comes first, how many there may be.
RSpec.describe "Edges" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:ada) { room.children.first }
  let(:now) { Time.now.round }

  def hear(child = ada, parts = [9, 5], at: now, code: "count_on", day: room.today(at), **more)
    posed = more.delete(:posed) || pose(room, parts, at: at, day: day)
    Records::Recorder.new(room, teacher[0]).record(child: child, problem: posed, code: code, happened_at: at,
                                                   client_key: SecureRandom.uuid, **more)
  end

  # What is so a second before the edge, on it, and a second after.
  def around(edge) = [-1, 0, 1].map { |step| yield edge + step }

  it "what a child was heard in most of late counts from the day after so many days ago" do
    morning = Time.utc(2026, 11, 24, 9)
    on = room.today(morning)
    hear(ada, [9, 4], at: morning - (28 * 86_400))
    hear(ada, [8, 4], at: morning - (28 * 86_400) - 60)
    hear(ada, [3, 1], at: morning - (27 * 86_400))
    busiest = -> { Records::Evidence.new(room).busiest(ada, days: 28, on: on) }
    expect(busiest.call).to eq(%w[add to5])
    hear(ada, [7, 4], at: morning - (27 * 86_400) - 60)
    hear(ada, [6, 5], at: morning - (27 * 86_400) - 120)
    expect(busiest.call).to eq(%w[add bridge])
  end

  it "a board's version goes on by one with each change" do
    lesson = pose(room).lesson
    before = lesson.refresh.board_version
    2.times { lesson.command("uncover") }
    expect(lesson.refresh.board_version).to eq(before + 2)
  end

  it "a story for all has no sets of numbers; one with two has" do
    set = Struct.new(:level, :names)
    part = Struct.new(:told, :items, :sets, :options, :seed, :reason, :role, :range, :slip)
    proposal = Records::Proposal.new(Records::Week.new(room, Rungs::SchoolDays.monday(room.today)), room.today)
    kept = lambda do |sets|
      proposal.send(:details, part.new(true, [{}], sets, {}, 1, "why", :story, "to10", nil)).sets
    end
    expect(kept.call([set.new("middle", [ada])])).to eq({})
    expect(kept.call([set.new("easier", []), set.new("middle", [ada])])).to eq("easier" => [], "middle" => [ada.id])
  end

  it "a surprise is told of one lesson alone, of that day's answers, and of three at most" do
    today = room.today
    days = Array.new(6) { |back| now - ((back + 2) * 86_400) }
    days.product(room.children) { |at, child| hear(child, [4, 3], at: at, code: "count_all") }
    room.children.first(4).each { |child| hear(child, [4, 2], code: "part_whole") }
    told = ->(from, to) { Records::LookBack.new(room, Records::Evidence.new(room), from, to).surprises }
    expect(told.call(today, today).map { |each| [each.rung, each.up] }).to eq([[3, true]] * 3)
    expect(told.call(today - 1, today)).to eq([])
    expect(told.call(today - 2, today - 2)).to eq([])
  end

  describe "what is kept for a time" do
    it "what was brought in can be taken back for thirty days" do
      id = Records::Brought.note(room, teacher[0], "answers", "a.csv")
      at = Records::Brought[id].at
      mine = Records::Brought.where(classroom_id: room.id)
      there = around(at + (30 * 86_400)) { |moment| mine.to_take_back(moment).any? }
      expect(there).to eq([true, false, false])
    end

    it "a file that is looked at, and one that was made, for an hour" do
      upload = Records::Upload.create(account_id: teacher[0].id, classroom_id: room.id, name: "a", at: now,
                                      content: Sequel.blob("x"))
      job = Records::Job.ask("sheet", {}, account_id: teacher[0].id, classroom_id: room.id)
      [[Records::Upload, upload.at], [Records::Job, job.created_at]].each do |kind, at|
        kept = [3599, 3601].map { |later| kind.tidy(at + later) && kind.where(classroom_id: room.id).any? }
        expect([kind, kept]).to eq([kind, [true, false]])
      end
    end

    it "a job that takes too long has failed; one that is ready has not" do
      job = Records::Job.ask("sheet", {}, account_id: teacher[0].id, classroom_id: room.id)
      late = ->(seconds) { Timecop.freeze(job.created_at + seconds) { job.failed? } }
      expect([late[899], late[901]]).to eq([false, true])
      job.update(state: "ready")
      expect(late[901]).to be(false)
    end

    it "a copy is late after two days, and due from two o'clock on, once" do
      DB.transaction(rollback: :always) do
        Records::Copy.dataset.delete
        expect([Records::Copy.late?, Records::Copy.due?]).to eq([false, true])
        made = Time.utc(2026, 11, 24, 2, 0, 0)
        Records::Copy.create(made_at: made, file: "a", bytes: 1, rows: 1, good: true)
        expect(around(made + (2 * 86_400)) { |at| Records::Copy.late?(at) }).to eq([false, false, true])
        expect(around(made + 86_400) { |at| Records::Copy.due?(at) }).to eq([false, true, true])
        expect(around(made) { |at| Records::Copy.due?(at) }).to eq([false, false, false])
      end
    end

    it "a place where somebody is signed in ends when it was long unused or is old; not where it stays" do
      session = Records::Session.new
      session.values.update(last_use: now, created_at: now, hours: 12, days: 30, stays: false)
      expect(around(now + (12 * 3600)) { |at| session.over?(at) }).to eq([false, false, true])
      session.last_use = now + (30 * 86_400)
      expect(around(now + (30 * 86_400)) { |at| session.over?(at) }).to eq([false, false, true])
      session.values.update(stays: true, last_use: now)
      expect(around(now + (30 * 86_400)) { |at| session.over?(at) }).to eq([false, false, true])
    end
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
      taken = around(now + (40 * 60)) { |at| Timecop.freeze(at) { lesson.to_take? } }
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

  describe "a week" do
    let(:monday) { room.today - (room.today.cwday - 1) }
    let(:week) { Records::Week.new(room, monday) }

    it "offers today too for what is new, the nearest calm day, never one that is past, off or the same" do
      room.start_lesson(monday + 4).course.plan("twins")
      expect(week.calmer_than(monday + 4, room.today)).to eq(monday + 3)
      room.start_lesson(monday + 3).course.plan("dice_mat")
      room.start_lesson(monday + 2).course.plan("match_up")
      calm = Records::Week.new(room, monday)
      expect(calm.calmer_than(monday + 4, room.today)).to eq(room.today)
      expect(calm.calmer_than(monday + 4, room.today + 1)).to be_nil
    end

    it "puts what the last lesson left first, once that lesson is over, and lets it go after eight days" do
      before = room.start_lesson(room.today - 1)
      before.course.plan("twins")
      room.start_lesson(room.today).course.plan("match_up")
      found = -> { Records::Week.new(room, monday).left_over(room.today)&.then { |day, lesson| [day, lesson.held_on] } }
      expect(found.call).to eq([room.today, before.held_on])
      before.update(held_on: room.today - 8)
      expect(found.call).to be_nil
      before.update(held_on: room.today - 7)
      expect(found.call).to eq([room.today, room.today - 7])
      room.lesson_on(room.today).finish
      expect(found.call).to eq([room.today + 1, room.today])
      room.lesson_on(room.today).course.then { |course| course.go(course.parts.first) }
      room.lesson_on(room.today).finish
      room.start_lesson(room.today + 1).course.plan("two_cards")
      expect(found.call).to eq([room.today + 1, room.today])
    end

    it "moves a part to the end of another day, unless it has begun" do
      room.start_lesson(monday + 2).course.plan("match_up")
      part, begun = %w[twins two_cards].map { |kind| room.start_lesson(monday + 1).course.plan(kind) }
      room.lesson_on(monday + 1).course.go(begun)
      week.move_whole(monday + 1, monday + 2)
      kinds = Records::Week.new(room, monday).planned.transform_values { |parts| parts.map(&:kind) }
      expect([kinds[monday + 1], kinds[monday + 2]]).to eq([["two_cards"], %w[match_up twins]])
      expect(part.refresh.lesson_id).to eq(room.lesson_on(monday + 2).id)
    end
  end

  describe "seats" do
    let(:seating) { Records::Seating.new(room) }

    it "are filled for those without one alone, the first that are free" do
      seating.put(room.children[2], 0)
      seating.put(room.children[4], 7)
      seating.fill
      expect(seating.children.map { |child| [child.name, child.seat] }).to eq(
        [["Ada", 1], ["Bo", 2], ["Cleo", 0], ["Dag", 3], ["Eda", 7]]
      )
      expect([seating.unseated, seating.seated.keys.sort]).to eq([[], [0, 1, 2, 3, 7]])
    end

    it "are how the names stand where they were chosen on that device, while anybody has one" do
      posed = pose(room)
      seated = -> { get("/listen/#{room.id}?problem=#{posed.id}").body.include?("children-seated") }
      sign_in teacher[0]
      expect(seated.call).to be(false)
      seating.put(room.children[1], 3)
      expect(seated.call).to be(false)
      send_form "/listen/#{room.id}/order", problem: posed.id, order: "seats"
      expect(seated.call).to be(true)
      room.children.each { |child| child.update(seat: nil) }
      expect(seated.call).to be(false)
    end

    it "are exchanged with who sits there; there is room for all and a row more" do
      one, two = room.children.first(2)
      seating.put(one, 3)
      seating.put(two, 3)
      expect([one, two].map { |child| child.refresh.seat }).to eq([nil, 3])
      expect(seating.rows).to eq(2)
      seating.put(one, 13)
      expect(seating.rows).to eq(3)
      expect([Records::Seating.place(0), Records::Seating.place(6)]).to eq([[1, 1], [2, 1]])
    end
  end

  describe "searching" do
    def day(words) = Records::Search.new(room, words, room.today).day

    it "means the last such weekday, and the nearest date that is not far ahead" do
      today = room.today
      expect(day(today.strftime("%A"))).to eq(today)
      expect(day((today + 1).strftime("%A"))).to eq(today - 6)
      edge = today + Records::Search::MOST
      expect(day(edge.strftime("%-d %B"))).to eq(edge)
      expect(day((edge + 1).strftime("%-d %B"))).to eq((edge + 1).prev_year)
      expect(day("29 February #{today.year + 1}")).to be_nil unless Date.leap?(today.year + 1)
      expect(day("kite")).to be_nil
    end
  end

  it "one answer is heard twice within ten minutes, of the same child on the same problem" do
    posed = pose(room)
    first = hear(posed: posed, at: now)
    later = [600, 601].map { |after| hear(posed: posed, at: now + after) }
    expect(later.map { |each| first.twice?(each) }).to eq([true, false])
    expect(first.twice?(first)).to be(false)
    expect(first.twice?(hear(room.children[1], posed: posed))).to be(false)
    expect(first.twice?(hear(ada, [6, 3]))).to be(false)
  end

  it "a slip counts as come back from the second time on" do
    wrong = -> { hear(ada, [9, 5], code: "count_on", answer: 13) }
    slips = -> { Records::Evidence.new(room).slips_of_late(room.today).values }
    wrong.call
    expect(slips.call.map(&:size).max.to_i).to be <= 1
    wrong.call
    expect(slips.call).to eq([[ada.id, ada.id]])
  end

  it "a class has room for sixty children, and for as many parts and waiting jobs as it says" do
    expect { Records::Child.enrol(room, (1..55).map { |n| "Kid #{n}" }) }.to change(room, :size).to(60)
    expect { Records::Child.enrol(room, ["One more"]) }.to raise_error(Records::Child::TooMany)
    ask = ->(number) { Records::Job.ask("sheet", { n: number }, account_id: teacher[0].id, classroom_id: room.id) }
    Records::Job::MOST.times(&ask)
    expect { ask[99] }.to raise_error(Records::Job::TooMany)
    expect { ask[0] }.not_to raise_error
  end
end
