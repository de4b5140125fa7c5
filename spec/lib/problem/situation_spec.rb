# frozen_string_literal: true

RSpec.describe Rungs::Problem::Situation do
  it "files each under what is sought, a missing part apart, in the order they are taught" do
    adding = described_class::ALL.select { |each| each.operation == "add" }.map(&:id)
    expect(adding).to eq(%w[add_to.result take_from.start together.total compare.bigger.more compare.bigger.fewer
                            together.three plan_for_it])
    parts = described_class::ALL.select(&:missing_part).map(&:id)
    expect(parts).to eq(%w[add_to.change add_to.start together.part])
    difficulty = described_class::ALL.to_h { |each| [each.id, each.difficulty] }
    expect(difficulty.select { |_, late| late == 2 }.keys).to match_array(described_class::LATE)
    first = %w[add_to.result take_from.result together.total together.both]
    expect(difficulty.select { |_, late| late.zero? }.keys).to match_array(first)
    expect(described_class.taught("add").map(&:id).first(3)).to eq(%w[add_to.result together.total compare.bigger.more])
  end

  it "agrees with its problems" do
    described_class::ALL.reject(&:open).each do |situation|
      parts = situation.sizes == [3] ? [2, 3, 4] : [2, 3]
      problem = Rungs::Problem.new(situation: situation.id, parts: parts, unknown: situation.unknown)
      expect([problem.operation, problem.missing_part?]).to eq([situation.operation, situation.missing_part])
    end
  end

  it "makes bare problems of both operations, and writes three parts with two signs" do
    bare = %w[add subtract].map { |operation| Rungs::Problem::Pool.bare(operation, 9, 5).to_s }
    expect(bare).to eq(["9 + 5 = □", "14 − 9 = □"])
    expect(Rungs::Problem.new(parts: [1, 2, 3], unknown: :whole).to_s).to eq("1 + 2 + 3 = □")
    expect(Rungs::Problem.new(parts: [1, 2], unknown: :whole).to_s).to eq("1 + 2 = □")
  end
end
