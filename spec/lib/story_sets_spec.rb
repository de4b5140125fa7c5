# frozen_string_literal: true

require "spec_helper"

RSpec.describe Rungs::Planning::StorySets do
  include ClassAsAWeekBegins

  def problem(situation, band) = Rungs::Problem::Pool.new(situation: situation, band: band).problems.find(&:tells?)

  def sets(situation, band, children, **more)
    of = described_class.of(problem(situation, band), standing(children, **more), random: Random.new(1))
    of.to_h { |set| [[set.level, set.problem.band], set] }
  end

  let(:ready) { { "to10" => [2, 2, 2], "bridge" => ([2] * 5) + [3] } }

  it "gives easier numbers of each child’s own range below, and small second numbers to who counts all here" do
    children = { "Ada" => { "to5" => [1, 1] }, "Bo" => { "to10" => [2] * 3 }, "Cy" => ready, "Dov" => {} }
    found = sets("add_to.result", "bridge", children)
    expect(found.transform_values(&:names)).to eq(%w[easier to5] => %w[Ada], %w[easier to10] => %w[Bo],
                                                  %w[middle bridge] => %w[Cy Dov])
    counts = { "Ada" => { "to10" => [1] * 6 }, "Bo" => { "to10" => [2] * 6 } }
    middle = Rungs::Problem.new(situation: "add_to.result", parts: [5, 4], unknown: :whole)
    few = described_class.of(middle, standing(counts), random: Random.new(2))
    expect(few.map { |set| [set.level, set.names] }).to eq([["easier", %w[Ada]], ["middle", %w[Bo]]])
    expect(few.first.problem.parts).to satisfy { |first, second| second.between?(2, 3) && first >= second }
  end

  it "gives harder ones by the range: the next, with the partners through ten, a missing part, or the next ten" do
    knows = { "to10" => [5] * 10 }
    partners = { "to10" => heard(*[5] * 10) + [[2, 8], [3, 7], [4, 6]].map { |fact| record(monday - 1, 4, fact) } }
    harder = lambda do |band, by_range, situation = "add_to.result"|
      sets(situation, band, { "Ada" => by_range }).values.find { |set| set.level == "harder" }&.problem
    end
    expect(harder.call("to5", { "to10" => [2] * 3 }).band).to eq("to10")
    expect(harder.call("to10", partners).band).to eq("bridge")
    expect(harder.call("to10", knows)).to have_attributes(band: "to10", situation: have_attributes(id: "add_to.change"))
    expect(harder.call("teens", { "to20" => [2] * 3 }).band).to eq("to20")
    expect(harder.call("to20", ready).band).to eq("bridge")
    ten = harder.call("bridge", { **ready, "tens" => [2] * 3 })
    expect([ten.band, ten.whole - problem("add_to.result", "bridge").whole]).to eq(["to100", 20])
    tens = harder.call("tens", { "to100" => [2] * 3 })
    expect(tens.parts.sum { |part| part % 10 }).to be >= 10
    expect(harder.call("to100", { "to100" => [5] * 10 })).to be_nil
  end

  it "keeps the same situation, and whoever it has no others for in the middle" do
    %w[add_to.result together.total compare.bigger.more take_from.start].each do |situation|
      children = { "Ada" => { "to5" => [1, 1] }, "Bo" => ready, "Cy" => { "to10" => [5] * 10 } }
      order.take(5).each do |band|
        found = sets(situation, band, children).values
        expect(found.flat_map(&:names)).to match_array(children.keys)
        kept = found.map { |set| set.problem.situation.id }.uniq - Array(described_class::MISSING[situation])
        expect(kept).to eq([situation])
      end
    end
  end

  it "says how many work elsewhere, where fewer than half fit the middle" do
    told = ->(children) { described_class.elsewhere(problem("add_to.result", "to10"), standing(children)) }
    expect(told.call({ "Ada" => ready, "Bo" => ready, "Cy" => { "to10" => [2] * 3 } })).to eq([2, 3, "bridge"])
    expect(told.call({ "Ada" => ready, "Cy" => { "to10" => [2] * 3 } })).to be_nil
    expect(told.call({ "Ada" => {} })).to be_nil
  end
end
