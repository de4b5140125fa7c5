# frozen_string_literal: true

require "spec_helper"

RSpec.describe Rungs::Planning::Standing do
  include ClassAsAWeekBegins

  def edge(by_range, **more) = standing({ "Ada" => by_range }, **more).edges["Ada"]

  # The partners of ten, each right.
  def partners = { "to10" => [[2, 8], [3, 7], [4, 6]].map { |fact| record(monday - 9, 4, fact) } }

  describe "an edge" do
    it "is the highest range that carries: three answers on two days, two thirds right and alone by count on" do
      { [2, 2] => "to10", [2, 2, 2] => "to10", [2] => nil, [1, 1, 1] => "to10" }.each do |rungs, range|
        expect(edge({ "to10" => rungs })).to eq(range), rungs.inspect
      end
      below = { "to5" => [1, 1, 1] }
      expect(edge(below.merge("teens" => [2, 2, 2]))).to eq("teens")
      expect(edge(below.merge("teens" => [2, 2]))).to eq("to10")
      expect(edge(below.merge("teens" => [2, 1, 2]))).to eq("teens")
      expect(edge(below.merge("teens" => [2, 1, 1]))).to eq("to10")
      one_day = Array.new(3) { |at| record(monday - 1, 2, [10, at + 1]) }
      expect(edge(below.merge("teens" => one_day))).to eq("to10")
      helped = heard(2, 2, help: "shown", range: "teens") + heard(2, range: "teens")
      expect(edge(below.merge("teens" => helped))).to eq("to10")
      expect(edge(below.merge("teens" => heard(2, 2, 2, range: "teens", tells: false)))).to eq("to10")
    end

    it "is the next range where the child was ready on some day of the last year" do
      expect(edge({ "to5" => [1, 1, 1] })).to eq("to10")
      expect(edge({ "to10" => [3] * 4 })).to eq("teens")
      expect(edge({ "to10" => [2] * 6 })).to eq("to10")
      expect(edge({ "to10" => heard(*[3] * 6, back: 100) + heard(2, 2, 2) })).to eq("teens")
      expect(edge({ "to10" => heard(*[3] * 6, back: 380) + heard(2, 2, 2) })).to eq("to10")
      expect(edge({ "teens" => [3] * 4 })).to eq("to20")
      expect(edge({ "to10" => heard(*[3] * 6) + heard(3, 3, right: false, back: 0) })).to eq("teens")
      wrong = heard(3, 3, 3, 3, back: 3) + heard(3, 3, right: false)
      expect(edge({ "teens" => heard(2, 2, 2, range: "teens"), "to10" => wrong })).to eq("teens")
    end

    it "asks a first grade for parts to ten, or for counting on once every rung was aimed at" do
      counting = { "to10" => [2] * 6 }
      expect([edge(counting), edge(counting, aimed: [2, 3]), edge(counting, aimed: [2, 3, 4])])
        .to eq(%w[to10 to10 teens])
    end

    it "asks a kindergarten class for parts to five before it goes beyond ten, and looks at nothing above the teens" do
      year = { year: "kindergarten" }
      expect(edge({ "to10" => [1] * 6 }, **year)).to eq("to10")
      expect(edge({ "to5" => [3] * 4, "to10" => [1] * 6 }, **year)).to eq("teens")
      expect(edge({ "teens" => [3] * 6, "to20" => [3] * 6 }, **year)).to eq("teens")
      expect(edge({ "to20" => [3] * 6 }, **year)).to be_nil
    end

    it "stays through a holiday: the highest range that carried in any 42 days of the last year" do
      expect(edge({ "teens" => heard(2, 2, 2, range: "teens", back: 90) })).to eq("teens")
      expect(edge({ "teens" => heard(2, 2, 2, range: "teens", back: 400), "to10" => heard(1, 1, back: 390) }))
        .to eq("to10")
      bad = heard(1, 1, 1, 1, range: "teens", back: 60)
      expect(edge({ "teens" => heard(2, 2, 2, range: "teens", back: 110) + bad })).to eq("teens")
    end

    it "looks back on 42 days to the day, and on no window that reaches into the week" do
      late = { "to10" => [2, 2, 2] }
      { 40 => "teens", 41 => "to10" }.each do |back, range|
        expect(edge(late.merge("teens" => heard(2, 2, 2, range: "teens", back: back)))).to eq(range)
      end
      bad = Array.new(2) { |at| record(monday - 42, 1, [10, 7 + at]) }
      expect(edge({ "to10" => [1], "teens" => bad + heard(2, 2, 2, range: "teens") })).to eq("to10")
    end

    it "is none above ten for who counts all in three of the latest four answers below" do
      teens = heard(2, 2, 2, range: "teens")
      expect(edge({ "to10" => [2, 1, 1, 1], "teens" => teens })).to eq("to10")
      expect(edge({ "to10" => [1, 1, 2, 2], "teens" => teens })).to eq("teens")
    end

    it "goes through ten only with the partners of ten, or with parts or ten made there" do
      counting = { "bridge" => [2] * 6 }
      expect(edge(counting)).to eq("to10")
      expect(edge(counting.merge(partners))).to eq("bridge")
      expect(edge({ "bridge" => [2, 2, 2, 2, 2, 3] })).to eq("bridge")
      expect(edge({ "bridge" => heard(*[2] * 5, range: "bridge") + heard(3, range: "bridge", right: false) }))
        .to eq("to10")
      expect(edge({ "bridge" => [3] * 6 })).to eq("tens")
      expect(edge({ "to20" => [3] * 6 })).to eq("to10")
      other = answers(partners, operation: "subtract") + answers(counting)
      expect(standing({ "Ada" => other }).edges).to eq("Ada" => "bridge")
    end

    it "moves by one range at most with one answer more" do
      histories = order.product([[2] * 3, [1, 2, 2, 2], [3] * 5]).map { |range, rungs| { range => rungs } }
      histories.product(order, [1, 3]).each do |by_range, range, rung|
        before = edge(by_range.merge(partners)) or next
        more = { range => by_range.fetch(range, []).map(&:itself) + [rung] }
        after = edge(by_range.merge(partners) { |_, one, two| heard(*one) + two }.merge(more))
        expect(place(after) - place(before)).to be <= 1, [by_range, range, rung].inspect
      end
    end

    it "leaves out what was heard on the first day of the week or after it" do
      late = Array.new(4) { |more| record(monday + more, 3, [more, 5]) }
      expect(edge({ "to10" => late })).to be_nil
    end
  end

  it "has for a range the median of the edges, of two middle ones the lower" do
    of = ->(*ranges) { standing(ranges.each_with_index.to_h { |range, at| [at.to_s, { range => [2] * 3 }] }).range }
    expect(of.call("to10", "to10", "to100")).to eq("to10")
    expect(of.call("teens", "to10", "to20", "to100")).to eq("teens")
    expect([standing({}).range, standing({}, year: "kindergarten").range]).to eq(%w[to10 to5])
  end

  it "proposes two groups where most are far from the range, and names who is two ranges away" do
    mixed = standing({ "Ada" => { "to10" => [2] * 3 }, "Bo" => { "to10" => [2] * 3 },
                       "Cleo" => { "to100" => [2] * 3 } })
    expect([mixed.split?("tens"), mixed.split?("to10"), mixed.far_from("tens").keys]).to eq([true, false, %w[Ada Bo]])
  end

  it "is unheard where fewer than half were heard twice, but not for more than some weeks; new where few were in it" do
    some = { "Ada" => { "to10" => [2, 2] }, "Bo" => { "to10" => [2] }, "Cleo" => {} }
    expect([standing(some).unheard?, standing(some, settled: true).unheard?]).to eq([true, false])
    expect(standing(some.merge("Bo" => { "to10" => [2, 2] })).unheard?).to be(false)
    expect([standing(some).new_to?("to10"), standing(some).new_to?("teens")]).to eq([false, true])
  end

  describe "an aim" do
    def rung(range, *rungs, **more)
      standing(rungs.each_with_index.to_h { |each, at| [at.to_s, { range => [each] * 6 }] }, **more).aim(range).rung
    end

    it "is the commonest of the children’s, of equals the earlier; those who have none do not vote" do
      expect(rung("bridge", 1, 2, 2)).to eq(4)
      expect(rung("bridge", 1, 1, 2)).to eq(2)
      expect(rung("to10", 1, 2)).to eq(2)
      knowing = Array.new(3) { |at| [at.to_s, { "to10" => [5] * 10 }] }.to_h
      expect(standing({ "Ada" => { "to10" => [2] * 6 }, **knowing }).aim("to10").rung).to eq(3)
      expect(rung("tens", 3, 3, 3)).to eq(3)
    end

    it "passes over none that few show, but through ten goes from count on to make ten" do
      expect(rung("to10", 2, 2, 1, 1, 1, 1, 1)).to eq(2)
      expect(rung("to10", 3, 3, 3, 3)).to eq(4)
      expect(rung("bridge", 2, 2, 2)).to eq(4)
      row = { "to10" => [1, 3, 2] }
      expect(Rungs::Planning::Aim.row("to10", "kindergarten")).to eq(row["to10"])
      expect([[1, 1], [3, 3], [1, 3]].map { |each| rung("to10", *each, year: "kindergarten") }).to eq([3, 2, 3])
    end

    it "begins with the first of the range where it is new, and for who was not heard enough there" do
      expect(order.to_h { |range| [range, standing({ "Ada" => {} }).aim(range).rung] })
        .to eq("to5" => 3, "to10" => 2, "teens" => 3, "to20" => 2, "bridge" => 2, "tens" => 2, "to100" => 2)
      expect(standing({ "Ada" => {} }, year: "kindergarten").aim("to10").rung).to eq(1)
    end

    it "is to put together and count, to five, while two of the last five were wrong" do
      stumbling = heard(1, 1, 1, range: "to5") + heard(1, 1, range: "to5", right: false, back: 0).map do |each|
        each.dup.tap { |copy| copy.day = monday - 1 }
      end
      expect(standing({ "Ada" => { "to5" => stumbling } }).aim("to5").rung).to eq(1)
      expect(rung("to5", 1, 1)).to eq(3)
    end

    it "counts answers to missing parts for adding too" do
      missing = answers({ "to10" => [1] * 6 }, operation: "subtract", missing: true)
      seen = answers({ "to10" => heard(2, 2) })
      expect(standing({ "Ada" => missing + seen }).estimate("Ada", "to10").worked_out.size).to eq(8)
      expect(standing({ "Ada" => missing }, operation: "add").edges).to eq({})
    end
  end

  it "knows what half of the class knows by heart, up to a range" do
    knows = ->(*facts) { { "to10" => facts.map { |fact| record(monday - 2, 5, fact) } } }
    class_of = standing({ "Ada" => knows.call([2, 3], [4, 4]), "Bo" => knows.call([4, 4]), "Cleo" => {} })
    expect([class_of.known_by_half("to10"), class_of.known_by_half("to5")]).to eq([[[4, 4]], []])
  end

  it "names who counts all below the range, for ten minutes with an adult on two days of the week, with times" do
    class_of = standing({ "Ada" => { "to10" => [1] * 6 }, "Bo" => { "to10" => [2] * 6 },
                          "Cleo" => { "bridge" => ([2] * 5) + [3] } })
    with_adult = lambda do |days|
      dates = Rungs::SchoolDays.from(monday, days)
      outlook = Rungs::Planning::Outlook.new(days: dates, aim: aim("add", "bridge", 4), standing: class_of, seed: 1)
      outlook.with_adult(dates.to_h { |day| [day, 20] })
    end
    expect(with_adult.call(5)).to eq([{ child: "Ada", days: %w[2026-11-30 2026-12-02], minutes: 10, at: [20, 20] }])
    expect([2, 1].map { |days| with_adult.call(days).first[:days] }).to eq([%w[2026-11-30 2026-12-01], %w[2026-11-30]])
  end
end

RSpec.describe Rungs::Planning::Aim do
  include ClassAsAWeekBegins

  it "has an “I can” for every range, operation and rung, its own where the range has it" do
    all = order.product([1, 2, 3, 4], %w[add subtract])
    said = all.map { |range, rung, operation| aim(operation, range, rung).i_can }
    expect(said).to all(match(/\AI can [a-z].*[^.]\.\z/))
    expect(aim("add", "bridge", 4).i_can).to eq("I can make ten first and then add the rest.")
    expect(aim("subtract", "to10", 2).i_can).not_to eq(aim("subtract", "to10", 3).i_can)
  end

  it "has facts of its range that fit it, to five any" do
    order.product([2, 3], %w[add subtract]).each do |range, rung, operation|
      facts = aim(operation, range, rung).facts
      expect(facts.map { |fact| Rungs::Problem::Band.of(fact) }.uniq).to eq([range])
    end
    expect(aim("add", "to5", 3).facts.size).to eq(6)
  end

  it "goes on along the row of its range" do
    expect(order.map { |range| described_class.row(range) }).to eq([[1, 3], [2, 3, 4], [3], [2, 3], [2, 3, 4], [2, 3],
                                                                    [2, 3, 4]])
    expect([aim("add", "to10", 4).above, aim("add", "to10", 2).above.rung]).to eq([nil, 3])
    expect(aim("add", "to10", 1, year: "kindergarten").above.rung).to eq(3)
  end
end
