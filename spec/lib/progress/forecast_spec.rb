# frozen_string_literal: true

RSpec.describe Rungs::Progress::Forecast do
  let(:day) { Date.new(2026, 11, 20) }

  def record(rung, back = 0, help: "alone", affords: [1, 2, 3, 4, 5])
    Rungs::Progress::Record.new(day: day - back, rung: rung, affords: affords, fact: [5, 8], right: true, help: help)
  end

  def estimate(*rungs, on: day)
    records = rungs.each_with_index.map { |rung, at| record(rung, rungs.size - at) }
    Rungs::Progress::Estimate.of(records, on: on)
  end

  it "shares 1 among the rungs a problem affords, and known facts, by the rule’s own weights" do
    (1..5).to_a.repeated_combination(3).each do |rungs|
      chances = described_class.chances(estimate(*rungs), [1, 2, 3])
      next unless chances

      expect(chances.keys).to eq([1, 2, 3, 5])
      expect(chances.values.sum).to be_within(1e-9).of(1)
    end
    sure = Rungs::Progress::Estimate.new([], on: day, filter: Rungs::Progress::Filter.new(
      probabilities: [0.0, 1.0, 0.0, 0.0, 0.0], day: day, heard: 9, rule: Rungs::Progress::Rule::DEFAULT
    ))
    told = described_class.chances(sure, [1, 2, 3])
    weights = { 1 => 0.20, 2 => 0.62, 3 => 0.11, 5 => 0.005 }
    expect(told).to match(weights.transform_values { |weight| be_within(1e-9).of(weight / weights.values.sum) })
  end

  it "moves with the days that pass" do
    soon, late = [day, day + 40].map { |on| described_class.chances(estimate(2, 2, 2, 2, on: on), [1, 2, 3]) }
    expect(late[3]).to be > soon[3]
  end

  it "counts for a class those who were heard enough, and names the others" do
    told = described_class.for_class({ "Ada" => estimate(2, 2, 2), "Bo" => estimate(2, 2), "Cleo" => estimate(2) },
                                     [1, 2, 3])
    expect([told.unheard, told.expected.values.sum.round(9)]).to eq([["Cleo"], 2.0])
    expect(told.about).to eq([[2, 1]])
  end

  it "is surprised by what had hardly a chance, up or down, alone and on the ladder" do
    steady = estimate(*[2] * 6)
    up = described_class.surprise(steady, record(5))
    expect([up.rung, up.expected, up.up?]).to eq([5, 2, true])
    expect(described_class.surprise(steady, record(2))).to be_nil
    expect(described_class.surprise(steady, record(5, help: "prompted"))).to be_nil
    expect(described_class.surprise(steady, record(nil))).to be_nil
    expect(described_class.surprise(estimate(2), record(5))).to be_nil
    down = described_class.surprise(estimate(*[4] * 8), record(1))
    expect([down.up?, down.expected]).to eq([false, 4])
  end
end
