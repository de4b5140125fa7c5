# frozen_string_literal: true

RSpec.describe Rungs::Strategy::Sharing do
  let(:sum) { problem("9 + 5 = ?") }

  def heard(*all)
    all.map do |who, rung, move, right = true|
      described_class::Heard.new(who: who, rung: rung, move: move, right: right)
    end
  end

  def proposed(...)
    described_class.propose(sum, heard(...)).map { |each| [each.path.rung, each.path.move.id, each.who] }
  end

  it "proposes two or three ways from the least to the most abstract, each of another rung" do
    all = [["Ada", 4, "up_through_ten"], ["Bo", 2, "on_first"], ["Cy", 2, nil], ["Di", 1, nil], ["Ed", 3, nil],
           ["Flo", 5, nil]]
    expect(proposed(*all)).to eq([[1, "all_objects", ["Di"]], [2, "on_first", %w[Bo Cy]], [5, "recall", ["Flo"]]])
    expect(proposed(*all.first(2))).to eq([[2, "on_first", ["Bo"]], [4, "up_through_ten", ["Ada"]]])
  end

  it "leaves out wrong answers, and what nobody saw" do
    expect(proposed(["Ada", 4, nil, false], ["Bo", nil, nil], ["Cy", 2, nil])).to eq([[2, "on_first", ["Cy"]]])
    expect(proposed).to eq([])
  end

  it "says why those" do
    reasons = described_class.propose(sum,
                                      heard(["Ada", 1, nil], ["Bo", 2, nil], ["Cy", 2, nil], ["Di", 4, nil])).map(&:why)
    expect(reasons).to eq(["the most concrete way heard: everybody can follow it (one child)",
                           "the step between them (2 children)", "the most abstract way heard: where the others " \
                                                                 "are going (one child)"])
  end

  it "is never more than three, in order, for any class" do
    random = Random.new(3)
    100.times do
      ways = Array.new(random.rand(25)) do |index|
        ["child #{index}", [nil, 1, 2, 3, 4, 5].sample(random: random), nil, random.rand < 0.8]
      end
      rungs = proposed(*ways).map(&:first)
      expect(rungs.size).to be <= 3
      expect(rungs).to eq(rungs.sort.uniq)
    end
  end
end

RSpec.describe Rungs::Strategy::Sharing, ".joining" do
  def joined(text, *moves)
    asked = problem(text)
    described_class.joining(*moves.map { |move| Rungs::Strategy::Path.by(asked, move) })
  end

  it "asks for what joins two drawings: the ten that is passed, what is not counted again, what both come to" do
    expect(joined("8 + 7 = ?", "on_first", "up_through_ten")).to include("Where is the ten?")
    ["8 + 2 = ?", "8 + 7 = ?"].each do |sum|
      expect(joined(sum, "all_objects", "on_first")).to include("not counted any more there")
    end
    expect(joined("6 + 4 = ?", "recall", "all_objects")).not_to include("ten")
  end

  it "asks a question, and offers a start, of any two ways of any fact to 20" do
    (1..10).to_a.product((1..10).to_a).each do |parts|
      problem("#{parts.join(' + ')} = ?").paths.combination(2) do |two|
        expect(described_class.joining(*two)).to end_with("?")
        expect(two.map { |path| described_class.start(path) }).to all(match(/\A(First )?I .*…\z/))
      end
    end
  end
end

RSpec.describe Rungs::Strategy::Split do
  it "arrives at the answer for every split of every fact to 20, and writes only what is true" do
    pairs_to(20).each do |p, q|
      [problem("#{p} + #{q} = ?"), problem("#{p + q} - #{q} = ?")].each do |each|
        (1...q).each do |piece|
          path = described_class.path(each, q, [piece, q - piece])
          fine = path.answer == each.answer && path.equations.all? { |text| Rungs::Problem::Equation.parse(text).true? }
          expect(fine).to be(true), "#{each}: #{q} into #{piece}" unless fine
        end
      end
    end
    expect(described_class.path(problem("8 + 7 = ?"), 7, [3, 4]).landings).to eq([8, 11, 15])
    expect(described_class.path(problem("14 - 6 = ?"), 6,
                                [4, 2]).equations).to eq(["6 = 4 + 2", "14 − 4 = 10", "10 − 2 = 8"])
  end

  it "refuses kindly, with the number that is off" do
    sum = problem("8 + 7 = ?")
    expect { described_class.path(sum, 7, [3, 5]) }.to raise_error(Rungs::Error::NotAProblem, "3 and 5 make 8, not 7")
    expect do
      described_class.path(sum, 6,
                           [3, 3])
    end.to raise_error(Rungs::Error::NotAProblem, "6 is not in this problem; break 8 or 7")
    expect { described_class.path(sum, 7, [7, 0]) }.to raise_error(Rungs::Error::NotAProblem)
    expect { described_class.path(sum, 7, [7]) }.to raise_error(Rungs::Error::NotAProblem)
  end
end

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
