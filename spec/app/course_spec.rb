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
    expect(kinds).to eq(%w[quick_look number_string story share practice])
    course.shift(course.parts[4], -1)
    course.shift(course.parts[0], -1)
    expect(kinds).to eq(%w[quick_look number_string story practice share])
    expect(course.minutes).to eq(33)
  end

  it "goes on, back and over parts, one going on at a time, and keeps when each ran" do
    course.plan_usual
    course.go(course.parts[0])
    course.go(course.beside(1))
    expect(course.current.kind).to eq("story")
    course.go(course.beside(-1))
    course.skip
    expect([course.current.kind, course.parts[0].skipped]).to eq(["story", true])
    expect(course.parts[0].runs.size).to eq(2)
    expect(DB[:part_runs].where(part_id: course.parts.map(&:id), ended_at: nil).count).to eq(1)
    course.go(course.parts[3])
    expect(course.beside(1)).to be_nil
    course.leave
    expect(course.left.map(&:kind)).to eq(["share"])
  end

  it "practises the numbers worked on last, where nothing else was chosen" do
    course.plan_usual
    lesson.pose(Rungs::Problem.told("take_from.result", [12, 5]), story: "Some leave.")
    practice = -> { course.parts.find { |part| part.kind == "practice" } }
    2.times { course.go(practice.call) }
    problems = practice.call.equations.map { |text| Rungs::Problem::Equation.parse(text).to_problem }
    expect(problems.map { |problem| [problem.operation, problem.band] }.uniq).to eq([%w[subtract bridge]])
    expect(problems.uniq.size).to eq(8)
  end

  it "measures how long a part ran, over all its runs" do
    part = course.plan("share")
    now = Time.now
    [[300, 240], [100, 40]].each { |from, to| Records::PartRun.create(part_id: part.id, started_at: now - from, ended_at: now - to) }
    expect(course.part(part.id).seconds(now)).to eq(120)
    Records::PartRun.create(part_id: part.id, started_at: now - 10)
    expect(described_class.new(lesson).part(part.id).seconds(now)).to eq(130)
  end

  it "poses the stories made ready once, each number set its own, and comes back to the middle one" do
    part = course.plan("story")
    sets = [[2, 3, "easier"], [9, 5, "middle"], [14, 3, "harder"]].map do |one, two, set|
      { "situation" => "add_to.result", "numbers" => [one, two], "story" => "#{one} and #{two}", "number_set" => set }
    end
    part.make_ready(sets)
    2.times { course.go(course.part(part.id)) }
    expect(lesson.problems.map(&:number_set)).to eq(%w[easier middle harder])
    expect(lesson.refresh.on_board.parts.to_a).to eq([9, 5])
    expect(lesson.on_board.number_sets.map(&:number_set)).to eq(%w[easier middle harder])
    expect([room.current_problem, room.last_problem].map { |posed| posed.parts.to_a }).to eq([[9, 5], [9, 5]])
    course.go(practice = course.plan("practice"))
    bands = course.part(practice.id).equations.map { |text| Rungs::Problem::Equation.parse(text).to_problem.band }
    expect(bands.uniq).to eq(["bridge"])
  end

  it "stops for today and goes on tomorrow with what was left, the story cut short first" do
    course.plan_usual
    course.go(course.parts[0])
    course.go(course.beside(1))
    lesson.pose(Rungs::Problem.told("add_to.result", [9, 5]), story: "9 and 5", part: course.current)
    lesson.finish
    tomorrow = room.start_lesson(room.today + 1)
    expect(room.unfinished(room.today + 1).id).to eq(lesson.id)
    tomorrow.course.plan("quick_look")
    tomorrow.course.take_over(lesson.refresh.course)
    expect(tomorrow.course.parts.map(&:kind)).to eq(%w[story share practice quick_look])
    tomorrow.course.go(tomorrow.course.parts.first)
    expect(tomorrow.refresh.on_board.words).to eq("9 and 5")
    expect(room.unfinished(room.today + 2).id).to eq(tomorrow.id)
  end

  it "puts a problem posed on the spot into the story going on, or makes a part for it" do
    expect(course.part_for_problem).to be_nil
    course.plan_usual
    course.go(course.parts[0])
    expect(course.part_for_problem.kind).to eq("story")
    expect(kinds).to eq(%w[quick_look story story share practice])
    expect(course.part_for_problem.id).to eq(course.parts[1].id)
  end

  it "keeps for how long a problem and a quick look were looked at" do
    part = course.plan("quick_look", details: { "options" => { "seconds" => 3 } })
    course.go(part)
    ask = lambda do |command, value|
      lesson.change_board { |state, _| Records::ItemOnBoard.new(state, part.items).after(command, value) }
    end
    2.times { ask.call("step", "0.1") }
    ask.call("step", "0.2")
    ask.call("uncover", nil)
    moment, open = DB[:showings].where(part_id: part.id).order(:id).all
    expect(moment[:covered_at] - moment[:shown_at]).to be_within(0.01).of(3)
    expect(open[:covered_at]).to be >= open[:shown_at]
  end
end

RSpec.describe Pages::Plan::NumberSets do
  def sets(words, also, **pairs)
    form = { situation: "add_to.result", numbers: [9, 5], template: template.id, names: "Ada,Bo", also: also, **pairs }
    described_class.new(form, words).problems.map do |each|
      [each["number_set"], each["story"][/\d+/], each["story"].scan(/\d+/)[1]]
    end
  end

  let(:template) { Rungs::Problem::Template::ALL.find { |each| each.suits?(Rungs::Problem.told("add_to.result", [9, 5])) } }
  let(:told) { Rungs::Problem::Story.new(Rungs::Problem.told("add_to.result", [9, 5]), template: template, names: %w[Ada Bo]).text }

  it "tells one story with each set's own numbers, also where the words were changed by hand" do
    wanted = [%w[easier 3 2], %w[middle 9 5], %w[harder 14 3]]
    expect(sets(told, %w[harder easier], easier: [3, 2], harder: [14, 3])).to eq(wanted)
    expect(sets("Ada has 9 boats. Then 5 more come. How many?", %w[easier harder], easier: [3, 2],
                                                                                   harder: [14, 3])).to eq(wanted)
    expect(sets(told, [])).to eq([[nil, "9", "5"]])
    expect { sets(told, ["easier"], easier: [3]) }.to raise_error(Rungs::Error::NotAProblem)
  end
end
