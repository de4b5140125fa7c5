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
