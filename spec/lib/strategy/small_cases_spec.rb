# frozen_string_literal: true

RSpec.describe Rungs::Strategy do
  it "acts a split of a difference by taking its pieces away, of a sum by putting them on" do
    away = described_class::Split.path(problem("13 - 4 = ?"), 4, [3, 1])
    on = described_class::Split.path(problem("9 + 4 = ?"), 4, [1, 3])
    expect([away, on].map { |path| path.acting.scenes.last.taken }).to eq([4, 0])
    expect([away.landings, on.landings]).to eq([[13, 10, 9], [9, 10, 13]])
  end

  it "keeps what is said where it is what was counted, a miscount where it is not, and none of a slip’s own" do
    asked = problem("8 + 5 = ?")
    counted = described_class::Hearing::Candidate.new(rung: "count_on", move: "on_from_first", slip: nil, answer: 13,
                                                      confidence: 1.0, why: "x")
    expect(counted.said(13, asked)).to equal(counted)
    expect(counted.said(12, asked)).to have_attributes(slip: "miscount", answer: 12, why: "x; then 12")
    slipped = counted.dup.tap { |each| each.slip = "start_counted" }
    expect(slipped.said(12, asked)).to be_nil
  end

  it "shares three ways as they were heard, of more the lowest, the highest and the one most used" do
    asked = problem("8 + 5 = ?")
    heard = [1, 2, 3, 4].flat_map do |level|
      who = level == 3 ? %w[Ada Bo] : ["C#{level}"]
      who.map do |name|
        described_class::Sharing::Heard.new(who: name, rung: level, right: true,
                                            move: described_class::Path.usual(asked, level).move.id)
      end
    end
    rungs = ->(some) { described_class::Sharing.propose(asked, some).map { |each| each.path.rung } }
    expect(rungs.call(heard)).to eq([1, 3, 4])
    expect(rungs.call(heard.reject { |each| each.rung == 4 })).to eq([1, 2, 3])
  end
end
