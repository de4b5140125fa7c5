# frozen_string_literal: true

RSpec.describe Rungs::Progress::Forecast do
  def counting_on(*more)
    ["6 + 3", "3 + 5", "4 + 5", "2 + 7"].each_with_index.map { |text, at| heard(text, 2, day: at) } + more
  end

  def chances(text, records = counting_on, fact: nil, band: "to10", day: nil)
    asked = problem("#{text} = ?")
    described_class.chances(estimate_of(records, band: band, day: day), affords: asked.affords, tells: asked.tells?,
                                                                        fact: fact)
  end

  it "gives what is known its chance by the fact, else by the share of those heard, more where it tells little" do
    expect([true, false, nil].map { |fact| chances("4 + 3", fact: fact)[5] }).to eq([0.9, 0.15, 0.5 / 6])
    expect([chances("7 + 1")[5], chances("7 + 1", fact: false)[5]]).to eq([(0.5 / 6) + 0.7, 0.15])
    knows = counting_on(*["2 + 4", "2 + 5", "3 + 4", "2 + 6"].map { |text| heard(text, 5, day: 4) })
    expect([chances("2 + 8", knows)[5], chances("8 + 1", knows)[5]]).to eq([4.5 / 10, 0.95])
  end

  it "shares the rest among what the problem affords, by the rule's own weights and the days gone by" do
    told = chances("4 + 3", fact: false)
    expect([told.keys, told.values.sum]).to match([[1, 2, 3, 5], be_within(1e-9).of(1)])
    filter = estimate_of(counting_on, day: 10).filter.on(Heard::START + 10)
    weights = { -2 => 0.05, -1 => 0.20, 0 => 0.62, 1 => 0.11, 2 => 0.015 }
    by_hand = (1..3).to_h do |rung|
      [rung, 0.85 * (1..3).sum do |from|
        filter[from - 1] * weights[rung - from] / (1..3).sum do |each|
          weights[each - from]
        end
      end]
    end
    chances("4 + 3", fact: false, day: 10).except(5).each do |rung, chance|
      expect(chance).to be_within(1e-9).of(by_hand[rung])
    end
  end

  it "halves a top between the two rungs that fall on it, and says nothing where not enough was heard" do
    ten = chances("6 + 4", fact: false)
    expect([ten[3], ten.keys]).to eq([ten[4], [1, 2, 3, 4, 5]])
    expect(chances("4 + 3", [heard("6 + 3", 2)])).to be_nil
  end

  it "counts for a class those who were heard enough, and names the others" do
    estimates = { "Ada" => estimate_of(counting_on), "Bo" => estimate_of(counting_on), "Cleo" => estimate_of([]) }
    told = described_class.for_class(estimates, problem("4 + 3 = ?")) { |child| child == "Bo" }
    expect([told.unheard, told.expected.values.sum.round(9)]).to eq([["Cleo"], 2.0])
    expect([told.children["Bo"][5], told.about.to_h[5]]).to eq([0.9, 1])
  end

  it "is surprised by what had hardly a chance, up or down, alone and on the ladder" do
    steady = estimate_of(["6 + 3", "3 + 5", "4 + 5", "2 + 7", "2 + 6"].map { |text| heard(text, 1) })
    surprise = ->(record, fact = false, estimate: steady) { described_class.surprise(estimate, record, fact) }
    up = surprise[heard("4 + 3", 3)]
    expect([up.rung, up.expected, up.up?]).to eq([3, 1, true])
    expect([surprise[heard("4 + 3", 2)], surprise[heard("4 + 3", 5)], surprise[heard("4 + 3", nil)],
            surprise[heard("4 + 3", 3, help: "prompted")]]).to all(be_nil)
    expect(surprise[heard("4 + 3", 3), estimate: estimate_of([])]).to be_nil
    makes_ten = estimate_of(["9 + 4", "8 + 5", "7 + 6", "9 + 5", "8 + 4"].map { |text| heard(text, 4) }, band: "bridge")
    down = surprise[heard("9 + 6", 1), estimate: makes_ten]
    expect([down.up?, down.expected]).to eq([false, 4])
  end
end
