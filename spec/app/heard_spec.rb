# frozen_string_literal: true

require "app_helper"

# What is told of what was heard: of late, twice, again, in a line.
RSpec.describe Records::Evidence do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:ada) { room.children.first }
  let(:now) { Time.now.round }

  it "what a child was heard in most of late counts from the day after so many days ago" do
    morning = Time.utc(2026, 11, 24, 9)
    on = room.today(morning)
    hear(ada, [9, 4], at: morning - (28 * 86_400))
    hear(ada, [8, 4], at: morning - (28 * 86_400) - 60)
    hear(ada, [3, 1], at: morning - (27 * 86_400))
    busiest = -> { described_class.new(room).busiest(ada, days: 28, on: on) }
    expect(busiest.call).to eq(%w[add to5])
    hear(ada, [7, 4], at: morning - (27 * 86_400) - 60)
    hear(ada, [6, 5], at: morning - (27 * 86_400) - 120)
    expect(busiest.call).to eq(%w[add bridge])
  end

  it "a surprise is told of one lesson alone, of that day's answers, and of three at most" do
    today = room.today
    days = Array.new(6) { |back| now - ((back + 2) * 86_400) }
    days.product(room.children) { |at, child| hear(child, [4, 3], at: at, code: "count_all") }
    room.children.first(4).each { |child| hear(child, [4, 2], code: "part_whole") }
    told = ->(from, to) { Records::LookBack.new(room, described_class.new(room), from, to).surprises }
    expect(told.call(today, today).map { |each| [each.rung, each.up] }).to eq([[3, true]] * 3)
    expect(told.call(today - 1, today)).to eq([])
    expect(told.call(today - 2, today - 2)).to eq([])
  end

  # Each answer of the last day beside all that was heard before it.
  def surprises_read_whole(child, day)
    described_class.new(room).all(child).group_by { |each| [each.operation, each.band] }.flat_map do |place, all|
      all.each_with_index.select { |each, _| each.record.day == day }.filter_map do |each, index|
        before = all.take(index).map(&:record)
        estimate = Rungs::Progress::Estimate.of(before, on: day, scope: Rungs::Progress::Scope.of(*place))
        fact = Rungs::Progress::NextProblems::History.new(before).known[each.record.exact]
        Rungs::Progress::Forecast.surprise(estimate, each.record, fact)&.to_h
      end
    end
  end

  it "surprises are those that reading everything gives" do
    random = Random.new(4)
    facts, codes = [[4, 3], [3, 4], [4, 2], [5, 3]], %w[count_all part_whole known_fact part_whole unseen]
    (0..11).to_a.reverse.product([0, 1, 2]) do |back, turn|
      hear(ada, facts.sample(random: random), at: now - (back * 86_400) - 600 + turn, right: random.rand < 0.8,
                                              code: (back > 3 ? codes.first : codes.sample(random: random)),
                                              help: %w[alone alone prompted].sample(random: random))
    end
    told = Array.new(4) do |back|
      found = Records::LookBack::Surprises.new(described_class.new(room), room.today - back).of(ada)
      found.map { |each| each.to_h.slice(:rung, :expected) }
    end
    expect(told).to eq(Array.new(4) { |back| surprises_read_whole(ada, room.today - back) })
    expect(told.flatten.size).to be > 2
  end

  it "the day each was last heard before a day is the last of an answer that stands" do
    [1, 3].each { |back| hear(ada, [4, 3], at: now - (back * 86_400)) }
    hear(ada, [4, 2], at: now)
    tallies = described_class.new(room)
    days = [0, 1, 2, 3].map { |back| tallies.last_before(room.today - back, room.children.map(&:id)) }
    expect(days).to eq([1, 3, 3].map { |back| { ada.id => room.today - back } } + [{}])
    expect(room.today(tallies.first_heard)).to eq(room.today - 3)
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
    slips = -> { described_class.new(room).slips_of_late(room.today).values }
    wrong.call
    expect(slips.call.map(&:size).max.to_i).to be <= 1
    wrong.call
    expect(slips.call).to eq([[ada.id, ada.id]])
  end

  it "sums up an answer in a line, with help where there was some" do
    lines = [{}, { help: "prompted" }, { answer: 13, used: ["fingers"] }].map do |more|
      hear(**more)
      Records::Observation.standing.where(classroom_id: room.id).order(:id).last.summary
    end
    expect(lines).to eq(["count on", "count on, prompted", "count on, said 13, fingers"])
  end
end
