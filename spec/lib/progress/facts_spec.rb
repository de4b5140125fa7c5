# frozen_string_literal: true

RSpec.describe Rungs::Progress::FactMap do
  def map(records, operation: "add", on: Heard::START + 30) = described_class.new(records, operation: operation, on: on)

  it "has the latest answer alone to a fact: known until it is counted or wrong, else how it was worked out" do
    told = map([heard("9 + 5", 5), heard("5 + 9", 3, day: 1), heard("4 + 3", 4), heard("3 + 4", 2, day: 1),
                heard("2 + 7", 3), heard("2 + 7", 3, day: 1, right: false), heard("2 + 6", 5, help: "shown"),
                heard("2 + 5", nil), heard("2 + 4", 5, day: 40)])
    states = [[9, 5], [5, 9], [4, 3], [7, 2], [2, 6], [2, 5], [2, 4]].map { |p, q| told.state(p, q) }
    expect(states).to eq(["known", "known", "counted", "wrong", nil, nil, nil])
    expect([told.rung(9, 5), told.rung(4, 3), told.rung(7, 2)]).to eq([5, 2, nil])
    expect(told.by_state).to eq("known" => [[5, 9]], "counted" => [[3, 4]], "wrong" => [[2, 7]])
  end

  it "keeps apart what goes and what is left, and says what comes at once soon" do
    told = map([heard("9 − 4", 5), heard("9 − 5", 2), heard("8 − 3", 3), heard("8 − 3", 4, day: 1), heard("7 − 2", 3)],
               operation: "subtract")
    expect([told.state(4, 5), told.state(5, 4), told.soon]).to eq(["known", "counted", [[8, 3]]])
    expect(told.by_state["known"]).to eq([[9, 4]])
  end

  it "finds numbers that invite a rung and that most do not know" do
    square = Rungs::Progress::Square.new(10)
    knows = map([heard("2 + 8", 5), heard("3 + 7", 5)])
    pick = ->(facts) { Rungs::Progress::Inviting.pick(square, rung: 4, facts: facts, count: 50) }
    all = pick[[]]
    expect(all).to all(satisfy { |p, q| square.at(p, q).rung == 4 })
    expect(all.map(&:sort).uniq.size).to eq(all.size)
    expect(pick[[knows]].map(&:sort)).to match_array(all.map(&:sort) - [[2, 8], [3, 7]])
    expect(pick[[knows, map([])]].size).to eq(all.size)
  end
end

RSpec.describe Rungs::Progress::NoteDraft do
  def draft(rungs = [2], operation: "add", band: "to10", **more)
    described_class.draft(name: "Ada", rungs: rungs, operation: operation, band: band, **more)
  end

  it "says for every rung, operation and band what is done, what comes and what to do at home, and names no rung" do
    titles = Rungs::Strategy::Rung::ALL.map { |rung| rung.title.downcase }
    example = described_class::Example.new(solved: "9 + 5 = 14", way: "nine … ten, eleven", said: nil, helped: false)
    [[], [1], [2], [3], [4], [5], [2, 4], [1, 3]].product(%w[add subtract],
                                                          Rungs::Problem::Band::ALL.ids).each do |told|
      parts = draft(told[0], operation: told[1], band: told[2], example: example, known: [3, 7])
      expect(parts.keys).to eq(described_class::PARTS)
      expect(parts.values).to all(satisfy { |text| text.size.between?(20, 300) })
      said = parts.values.join(" ").downcase
      expect(titles.select { |title| said.include?(title) }).to eq([])
      expect(said).not_to match(/\b(rung|level|grade|better than|behind|ahead|not yet)\b/)
    end
  end

  it "puts in quotes only what was taken down, says of help that there was, and how much comes at once" do
    example = ->(**more) { draft(example: described_class::Example.new(solved: "6 + 3 = 9", **more))[:example] }
    expect([example[way: "six … seven, eight, nine"], example[said: "7, 8, 9", helped: true], example[helped: false]])
      .to eq(["Ada solved 6 + 3 = 9: six … seven, eight, nine.",
              "Ada solved 6 + 3 = 9, with a little help, saying “7, 8, 9”.", "Ada solved 6 + 3 = 9."])
    expect([draft(known: [3, 7])[:now], draft(known: [0, 7])[:now], draft[:example]])
      .to match([/Three of seven sums asked came at once\.\z/, /counts on from there\.\z/, ""])
  end

  it "says no more than what was heard where that is little" do
    told = draft(faint: "was heard twice, the last on 26 October: counting on")
    expect(told[:now])
      .to eq("When adding with numbers to 10, Ada was heard twice, the last on 26 October: counting on.")
    expect(told[:coming]).to eq(draft([])[:coming])
  end
end
