# frozen_string_literal: true

RSpec.describe Rungs::Progress::DueFacts do
  let(:monday) { Date.new(2026, 3, 2) }

  def answer(day, rung, right: true, fact: [5, 8])
    Rungs::Progress::Record.new(day: monday + day, rung: rung, affords: [1, 2, 3, 4], fact: fact, right: right,
                                help: "alone", exact: fact, tells: true)
  end

  def due(*answers, on:) = described_class.of(answers, on: monday + on)[[5, 8]]

  it "wants a fact that was reasoned right twice, until it is known" do
    expect(due(answer(0, 4), on: 1)).to be_nil
    expect(due(answer(0, 4), answer(1, 3), on: 1)).to eq("reasoned")
    expect(due(answer(0, 4), answer(1, 3, right: false), on: 1)).to be_nil
    expect(due(answer(0, 4), answer(1, 3), answer(2, 5), on: 2)).to be_nil
  end

  it "wants a known fact again after 1, 3, 7, 14, 30 and 60 school days, and after one where it was missed" do
    (1..8).each do |times|
      known = Array.new(times) { answer(0, 5) }
      wait = [1, 3, 7, 14, 30, 60][[times, 6].min - 1]
      day = Rungs::SchoolDays.from(monday, wait + 1).last
      expect(described_class.of(known, on: day)).to eq({ [5, 8] => "again" })
      expect(described_class.of(known, on: day - 1)).to be_empty
    end
    expect(due(answer(0, 5), answer(0, 5), answer(1, 2), on: 2)).to eq("again")
  end

  it "takes for a class what is due for most of it, the smaller first" do
    one = [answer(0, 5), answer(0, 5, fact: [2, 3])]
    other = [answer(0, 5), answer(0, 5, fact: [2, 4])]
    expect(described_class.most([one, other], on: monday + 1).map(&:first)).to eq([[5, 8], [2, 3], [2, 4]])
  end
end
