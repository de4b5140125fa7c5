# frozen_string_literal: true

RSpec.describe Rungs::Progress::FactMap do
  let(:today) { Date.new(2026, 11, 25) }

  def record(rung, fact, days_ago: 0, right: true)
    Rungs::Progress::Record.new(day: today - days_ago, rung: rung, affords: [1, 2, 3, 4, 5], fact: fact, right: right,
                                help: "alone")
  end

  it "has the best recent rung of a fact, whichever way round, and passes over wrong, old and off-ladder records" do
    map = described_class.new(
      [record(2, [5, 9]), record(4, [5, 9], days_ago: 10), record(5, [5, 9], right: false),
       record(5, [5, 9], days_ago: 200),
       record(nil, [5, 9]), record(1, [2, 2]), record(5, [1, 1])], on: today
    )
    expect([map.rung(9, 5), map.rung(5, 9), map.state(9, 5), map.state(2, 2), map.state(1, 1),
            map.state(3, 3)]).to eq([4, 4, "reasoned", "counted", "known", nil])
    expect(map.by_state).to eq("reasoned" => [[5, 9]], "counted" => [[2, 2]], "known" => [[1, 1]])
  end

  it "finds numbers that invite a rung and that most do not know" do
    square = Rungs::Progress::Square.new(10)
    knows = described_class.new([record(5, [2, 8]), record(5, [3, 7])], on: today)
    all = Rungs::Progress::Inviting.pick(square, rung: 4, facts: [], count: 50)
    expect(all).to all(satisfy { |p, q| square.at(p, q).rung == 4 })
    expect(all.map(&:sort).uniq.size).to eq(all.size)
    expect(Rungs::Progress::Inviting.pick(square, rung: 4, facts: [knows],
                                                  count: 50).map(&:sort)).to match_array(all.map(&:sort) - [[2, 8],
                                                                                                            [3, 7]])
    expect(Rungs::Progress::Inviting.pick(square, rung: 4, facts: [knows, described_class.new([], on: today)],
                                                  count: 50).size).to eq(all.size)
  end
end

RSpec.describe Rungs::Progress::NoteDraft do
  it "says for every rung, operation and band what is done, what comes and what to do at home, and names no rung" do
    titles = Rungs::Strategy::Rung::ALL.map { |rung| rung.title.downcase }
    [[], [1], [2], [3], [4], [5], [2, 4], [1, 5]].product(%w[add subtract],
                                                          Rungs::Problem::Band::ALL.ids)
                                                 .each do |rungs, operation, band|
      draft = described_class.draft(name: "Ada", rungs: rungs, operation: operation, band: band, solved: "9 + 5 = 14",
                                    said: "Nine.")
      expect(draft.keys).to eq(described_class::PARTS)
      told = { rungs: rungs, operation: operation, band: band }
      expect(described_class.draft(name: "Ada", **told)[:example]).to eq("")
      expect(described_class.draft(name: "Ada", solved: "3 + 2 = 5", **told)[:example]).to eq("Ada solved 3 + 2 = 5.")
      expect(draft.values).to all(satisfy { |text| text.size.between?(20, 300) })
      expect(draft.values.join(" ").downcase).to satisfy { |text|
        titles.none? { |title|
          text.include?(title)
        } && !text.match?(/\b(rung|level|grade|better than|behind|ahead)\b/)
      }
    end
  end
end
