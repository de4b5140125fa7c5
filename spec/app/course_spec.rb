# frozen_string_literal: true

require "app_helper"

RSpec.describe Records::Course do
  let(:room) { make_teacher[1] }
  let(:lesson) { room.start_lesson(room.today) }
  let(:course) { lesson.course }

  def kinds = course.parts.map(&:kind)

  it "keeps the parts in order, whatever is added, shifted or taken over" do
    course.plan_usual
    course.plan("number_string", after: course.parts.first)
    expect(kinds).to eq(%w[quick_look number_string story_time whose_way by_heart])
    course.shift(course.parts[4], -1)
    course.shift(course.parts[0], -1)
    expect(kinds).to eq(%w[quick_look number_string story_time by_heart whose_way])
    expect(course.minutes).to eq(25 + course.part(course.parts[1].id).activity.minutes)
  end

  it "takes a part to where another stands, and leaves all as it is where that is not of this lesson any more" do
    course.plan_usual
    order = %w[quick_look story_time whose_way by_heart]
    moves = { [0, 2] => [1, 2, 0, 3], [3, 0] => [3, 0, 1, 2], [1, 2] => [0, 2, 1, 3], [2, 2] => [0, 1, 2, 3] }
    moves.each do |(from, to), left|
      there = course.parts
      course.move(there[from], there[to])
      expect(kinds).to eq(order = order.values_at(*left))
    end
    gone = course.parts.last
    course.take_out(gone)
    course.move(course.parts.first, gone)
    expect(kinds).to eq(order.first(3))
  end

  it "has room for so many parts, and says so; nothing is half added" do
    (described_class::MOST - 1).times { course.plan("twins") }
    expect { course.plan_usual }.to raise_error(Rungs::Error::TooMany, /room for 40 parts/)
    expect(lesson.refresh.course.parts.size).to eq(described_class::MOST - 1)
    lesson.course.plan("twins")
    expect { lesson.course.plan("twins") }.to raise_error(Rungs::Error::TooMany, /room for 40 parts/)
  end

  it "goes on, back and over parts, one going on at a time, and keeps when each ran" do
    course.plan_usual
    course.go(course.parts[0])
    course.go(course.neighbour(1))
    expect(course.current.kind).to eq("story_time")
    course.go(course.neighbour(-1))
    course.skip
    expect([course.current.kind, course.parts[0].skipped]).to eq(["story_time", true])
    expect(course.parts[0].runs.size).to eq(2)
    expect(DB[:part_runs].where(part_id: course.parts.map(&:id), ended_at: nil).count).to eq(1)
    course.go(course.parts[3])
    expect(course.neighbour(1)).to be_nil
    course.leave
    expect(course.left.map(&:kind)).to eq(["whose_way"])
  end

  it "measures how long a part ran, over all its runs" do
    part = course.plan("twins")
    now = Time.now
    [[300, 240], [100, 40]].each do |from, to|
      Records::PartRun.create(part_id: part.id, started_at: now - from, ended_at: now - to)
    end
    expect(course.part(part.id).seconds(now)).to eq(120)
    Records::PartRun.create(part_id: part.id, started_at: now - 10)
    expect(described_class.new(lesson).part(part.id).seconds(now)).to eq(130)
    expect(described_class.new(lesson).part(part.id).seconds(now - 300)).to eq(0)
  end

  it "poses the stories made ready once, each number set its own, and comes back to the middle one" do
    part = course.plan("story_time")
    sets = [[2, 3, "easier"], [9, 5, "middle"], [14, 3, "harder"]].map do |one, two, set|
      problem = Rungs::Problem.from_story("add_to.result", [one, two])
      Rungs::Activity::POSED.data_for(problem, "#{one} and #{two}", number_set: set)
    end
    part.items.add(sets)
    expect([part.items.size, part.items.outline]).to eq([3, "9 and 5"])
    2.times { course.go(course.part(part.id)) }
    posed = lesson.problem(lesson.refresh.board.problem)
    expect(posed.parts.to_a).to eq([9, 5])
    expect(posed.number_sets.map(&:number_set)).to eq(%w[easier middle harder])
    expect(lesson.problems.map(&:number_set)).to match_array(%w[easier middle harder])
    expect([room.current_problem, room.last_problem].map { |each| each.parts.to_a }).to eq([[9, 5], [9, 5]])
  end

  it "has for each child of a story the numbers that are the child’s, where all are asked the middle ones" do
    easier, harder = room.children.first(2)
    sets = [{ level: "easier", children: [easier.id] }, { level: "harder", children: [harder.id] }]
    part = course.plan("story_time", details: { "sets" => sets, "count" => 0 })
    part.items.add([[2, 3, "easier"], [9, 5, "middle"], [29, 5, "harder"]].map do |one, two, set|
      problem = Rungs::Problem.from_story("add_to.result", [one, two])
      Rungs::Activity::POSED.data_for(problem, "#{one} and #{two}", number_set: set)
    end)
    course.go(course.part(part.id))
    posed = lesson.problem(lesson.refresh.board.problem)
    numbers = [easier, harder, room.children.last].map { |child| posed.numbers_of(child).parts.to_a }
    expect(numbers).to eq([[2, 3], [29, 5], [9, 5]])
    middle = posed.numbers_of(easier)
    expect(middle.numbers_of(harder)).to eq(middle)
  end

  it "shares two ways heard of the last problem, told by invented children, once the part begins" do
    posed = pose(room, [8, 7])
    course.plan("whose_way")
    recorder = Records::Recorder.new(room,
                                     room.problems.first && DB[:memberships].first(classroom_id: room.id)[:account_id])
    %w[count_all make_ten].each_with_index do |code, child|
      recorder.record(child: room.children[child], problem: posed, code: code, client_key: SecureRandom.uuid,
                      happened_at: Time.now)
    end
    part = described_class.new(lesson.refresh).parts.last
    described_class.new(lesson).go(part)
    data = Records::LessonPart[part.id].items.item(0).data
    expect(data[:problem]).to eq("8 + 7 = □").or eq(posed.problem.to_s)
    rungs = data[:ways].map { |way| Rungs::Strategy::Move::ALL.fetch(way[:move]).rung }
    expect(rungs).to eq([1, 4])
    expect(data[:ways].map { |way| way[:child] } & room.children.map(&:name)).to eq([])
  end

  it "stops for today and goes on tomorrow with what was left, the story cut short first" do
    course.plan_usual
    course.go(course.parts[0])
    course.go(course.neighbour(1))
    course.tell([Rungs::Activity::POSED.data_for(Rungs::Problem.from_story("add_to.result", [9, 5]), "9 and 5")])
    lesson.finish
    tomorrow = room.start_lesson(room.today + 1)
    expect(room.unfinished(room.today + 1).id).to eq(lesson.id)
    tomorrow.course.plan("quick_look")
    tomorrow.course.take_over(lesson.refresh.course)
    expect(tomorrow.course.parts.map(&:kind)).to eq(%w[story_time whose_way by_heart quick_look])
    tomorrow.course.go(tomorrow.course.parts.first)
    expect(tomorrow.course.parts.first.items.item(1).ask).to eq("9 and 5")
    expect(room.unfinished(room.today + 2).id).to eq(tomorrow.id)
  end

  it "puts a problem posed on the spot into the story going on, or makes a part for it" do
    told = lambda { |numbers|
      Rungs::Activity::POSED.data_for(Rungs::Problem.from_story("add_to.result", numbers), numbers.to_s)
    }
    course.tell([told.call([2, 3])])
    expect([kinds, course.current.kind]).to eq([["story_time"], "story_time"])
    course.go(course.plan("quick_look"))
    course.plan("twins")
    posed = course.tell([told.call([4, 3])])
    expect(kinds).to eq(%w[story_time quick_look story_time twins])
    expect([course.current.id, posed.part_id, posed.item]).to eq([course.parts[2].id, course.parts[2].id, 0])
    expect(course.tell([told.call([5, 3])]).values).to include(part_id: course.parts[2].id, item: 1)
    quiet = course.tell([told.call([6, 3])], show: false)
    expect([quiet.item, lesson.problem(lesson.refresh.board.problem).item]).to eq([2, 1])
  end

  it "never puts a problem for one child into a story that is only planned" do
    planned = course.plan("story_time")
    proposed = planned.items.item(0).ask
    told = Rungs::Activity::POSED.data_for(Rungs::Problem.from_story("add_to.result", [2, 3]), "2 and 3?")
    posed = course.tell([told], show: false)
    again = course.tell([told], show: false)
    expect(Records::LessonPart[planned.id].items.item(0).ask).to eq(proposed)
    expect([again.part_id, again.item, course.left.map(&:id)]).to eq([posed.part_id, 1, [planned.id]])
    expect(lesson.refresh.on_board).to be_nil
  end

  it "comes back to what was posed to all, not to what one child was asked" do
    told = lambda { |numbers|
      Rungs::Activity::POSED.data_for(Rungs::Problem.from_story("add_to.result", numbers), numbers.to_s)
    }
    course.tell([told.call([4, 3])])
    course.tell([told.call([5, 3])])
    course.tell([told.call([6, 3])], show: false)
    story = course.current
    course.go(course.plan("twins"))
    course.go(course.part(story.id))
    expect(lesson.refresh.board.item).to eq(1)
  end

  it "puts what a teacher tells in the place of what was proposed, and after what was told before" do
    told = lambda { |first|
      Rungs::Activity::POSED.data_for(Rungs::Problem.from_story("add_to.result", [first, 3]), "#{first} and 3")
    }
    part = course.plan("story_time")
    expect(part.items.size).to be_positive
    expect([4, 5].map { |first| part.items.add([told.call(first)]) }).to eq([0, 1])
    expect(part.items.all_data.map { |data| data[:words] }).to eq(["4 and 3", "5 and 3"])
  end

  it "keeps for how long a problem and a quick look were looked at" do
    part = course.plan("quick_look", details: { "options" => { "seconds" => 3 } })
    course.go(part)
    looks = DB[:showings].where(part_id: part.id).order(:id)
    2.times do
      lesson.command("step", "0.1")
      expect(looks.count).to eq(1)
    end
    lesson.command("step", "0.2")
    lesson.command("uncover")
    moment, open = looks.all
    expect(moment[:covered_at] - moment[:shown_at]).to be_within(0.01).of(3)
    expect(open[:covered_at]).to be >= open[:shown_at]
  end
end

RSpec.describe Pages::Plan::NumberSets do
  def sets(words, also, **pairs)
    form = { situation: "add_to.result", numbers: [9, 5], template: template.id, names: "Ada,Bo", also: also, **pairs }
    described_class.new(form, words, Rungs::Problem::Book::USUAL).problems.map do |each|
      [each[:number_set], *each[:words].scan(/\d+/).first(2)]
    end
  end

  let(:template) do
    Rungs::Problem::Template::ALL.find do |each|
      each.suits?(Rungs::Problem.from_story("add_to.result", [9, 5]))
    end
  end
  let(:told) do
    Rungs::Problem::Story.new(Rungs::Problem.from_story("add_to.result", [9, 5]), template: template,
                                                                                  names: %w[Ada Bo]).text
  end

  it "tells one story with each set's own numbers, also where the words were changed by hand" do
    wanted = [%w[easier 3 2], %w[middle 9 5], %w[harder 14 3]]
    expect(sets(told, %w[harder easier], easier: [3, 2], harder: [14, 3])).to eq(wanted)
    expect(sets("Ada has 9 boats. Then 5 more come. How many?", %w[easier harder], easier: [3, 2],
                                                                                   harder: [14, 3])).to eq(wanted)
    expect(sets(told, [])).to eq([[nil, "9", "5"]])
    expect { sets(told, ["easier"], easier: [3]) }.to raise_error(Rungs::Error::NotAProblem)
  end
end
