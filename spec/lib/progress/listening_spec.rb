# frozen_string_literal: true

RSpec.describe Rungs::Progress::Listening do
  let(:today) { Date.new(2026, 11, 25) }

  def child(name, last, records = 3, **more)
    described_class::Child.new(child: name, name: name, last: last, records: records, **more)
  end

  def estimate(rungs, days_ago: 1)
    records = rungs.each_with_index.map do |rung, index|
      Rungs::Progress::Record.on(problem("#{2 + (index % 4)} + 9 = ?"), day: today - days_ago - rungs.size + index,
                                                                        rung: rung, right: true, help: "alone")
    end
    Rungs::Progress::Estimate.of(records, on: today, scope: Rungs::Progress::Scope.of("add", "bridge"))
  end

  def school_days(count) = Rungs::SchoolDays.from(today, count)

  it "gives half the places to those unheard longest, then fewest records, then name, with the reason" do
    children = [child("Ami", today), child("Bo", today - 1), child("Cy", today - 9), child("Di", nil, 0),
                child("Ed", today - 1, 1), child("Al", today - 1)]
    turns = described_class.turns(children, on: today, places: 5)
    expect(turns.map(&:name)).to eq(%w[Di Cy Ed Al Bo])
    expect(turns.map(&:reason).first(3)).to eq(["has not been heard yet", "has not been heard for 7 school days",
                                                "was last heard on #{(today - 1).strftime('%A')}"])
    expect(described_class.turns(children, on: today, places: 6).last.reason).to eq("was heard today")
  end

  it "says the weekday of the last six days, and school days before that" do
    said = (1..8).map { |ago| described_class.turns([child("Ami", today - ago)], on: today, places: 1).first.reason }
    expect(said.first(6)).to eq((1..6).map { |ago| "was last heard on #{(today - ago).strftime('%A')}" })
    expect(said.last(2)).to eq(["has not been heard for 5 school days", "has not been heard for 6 school days"])
  end

  it "gives the rest to the most useful: not enough heard, then least sure, then emerging, then a repeated slip" do
    sure = [2] * 8
    children = [child("Old", today - 20), child("Sure", today - 2, estimate: estimate(sure)),
                child("Slips", today - 2, estimate: estimate(sure), slip: "one left out"),
                child("Rises", today - 2, estimate: estimate([*sure, *sure, 3])), child("Once", today - 2,
                                                                                        estimate: estimate([2])),
                child("Torn", today - 2,
                      estimate: estimate(sure,
                                         days_ago: 40))]
    turns = described_class.turns(
      children + [child("Older", today - 30), child("Oldest", nil), child("Long", today - 25)], on: today, places: 8
    )
    expect(turns.map(&:name)).to eq(%w[Oldest Older Long Old Once Torn Rises Slips])
    expect(turns.last(4).map(&:reason)).to eq([
      "has not been heard enough with these numbers", "is not clear yet: one more answer helps",
      "has shown part–whole: is it there again?", "has slipped twice: one left out"
    ])
  end

  # The guarantee of guide 10, for every class and every number of places that a day may have.
  it "hears every child present at least once in ceil(n / ceil(k / 2)) school days" do
    (1..30).to_a.product([1, 2, 3, 5, 8]).each do |number, places|
      random = Random.new((number * 10) + places)
      children = Array.new(number) do |index|
        told = [nil, estimate([2]), estimate([2, 4, 2])].sample(random: random)
        last = random.rand < 0.3 ? nil : today - random.rand(1..9)
        child("c#{index}", last, random.rand(9), estimate: told, slip: [nil, "x"].sample(random: random))
      end
      within = (number.to_f / ((places + 1) / 2)).ceil
      plan = described_class.plan(children, days: school_days(within * 2), places: places)
      [0, within].each do |from|
        expect(plan[from, within].flat_map do |day|
          day.turns.map(&:name)
        end.uniq.size).to eq(number)
      end
      expect(plan.map { |day| day.turns.size }).to all(eq([places, number].min))
    end
  end

  it "lets a child who is away keep the turn, and puts nobody who is away on the list" do
    children = Array.new(9) { |index| child("c#{index}", today - 2 - index) }
    days = school_days(3)
    absent = { days[0] => ["c8"], days[1] => ["c8"] }
    plan = described_class.plan(children, days: days, places: 2, absent: absent)
    expect(plan.first(2).flat_map { |day| day.turns.map(&:name) }).not_to include("c8")
    expect(plan[2].turns.first.name).to eq("c8")
  end

  it "counts Mondays to Fridays" do
    expect(Rungs::SchoolDays.between(Date.new(2026, 11, 20), Date.new(2026, 11, 23))).to eq(1)
    expect(Rungs::SchoolDays.between(today, today)).to eq(0)
    week = Date.new(2026, 12, 28)..Date.new(2027, 1, 3)
    expect(week.map { |day| Rungs::SchoolDays.monday(day) }.uniq).to eq([week.first])
  end

  it "shares a list out evenly, so that no two change hands to somebody who has heard them less" do
    random = Random.new(7)
    60.times do
      children, people = [*1..random.rand(1..12)], %w[Ada Ben Cai].first(random.rand(1..3))
      heard = people.to_h { |who| [who, children.to_h { |child| [child, random.rand(0..3)] }] }
      shares = described_class.shared(children, heard)
      expect(shares.keys).to match_array(children)
      expect(shares.values.tally.values.max).to be <= (children.size / people.size.to_f).ceil
      better = children.combination(2).select do |one, two|
        heard[shares[one]][two] + heard[shares[two]][one] < heard[shares[one]][one] + heard[shares[two]][two]
      end
      expect(better).to eq([])
    end
    expect(described_class.shared([1, 2], { "Ada" => { 1 => 2 }, "Ben" => {} })).to eq({ 1 => "Ben", 2 => "Ada" })
  end
end
