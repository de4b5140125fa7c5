# frozen_string_literal: true

RSpec.describe Rungs::Picture::Frame do
  it "places every counter once, on a place of its own, in order" do
    pairs_to(20).product(%i[fives pairs]).each do |parts, fill|
      counters = described_class.new(parts, fill: fill).layout.counters
      expect(counters.map(&:order)).to eq([*1..parts.sum])
      expect(counters.map { |mark| [mark.x, mark.y] }.uniq.size).to eq(parts.sum)
      expect(counters.count { |mark| mark.tone == :a }).to eq(parts[0])
    end
  end

  it "fills left to right by fives, and two by two by pairs" do
    by_fives, by_pairs = %i[fives pairs].map do |fill|
      described_class.new([7], fill: fill).layout.counters.map do |mark|
        [mark.x, mark.y]
      end
    end
    expect(by_fives).to eq([[0, 0], [1, 0], [2, 0], [3, 0], [4, 0], [0, 1], [1, 1]].map { |x, y| [x.to_f, y] })
    expect(by_pairs).to eq([[0, 0], [0, 1], [1, 0], [1, 1], [2, 0], [2, 1], [3, 0]].map { |x, y| [x.to_f, y] })
  end

  it "strikes the last counters, so that what remains keeps its shape" do
    struck = described_class.new([14], struck: 5).layout.counters.select { |mark| mark.state == :struck }
    expect(struck.map(&:order)).to eq([10, 11, 12, 13, 14])
    expect { described_class.new([3], struck: 4) }.to raise_error(Rungs::Error::NotAProblem)
  end

  it "takes the frame that fits, and refuses what fits in none" do
    expect([[4, 3], [9, 5], [12, 12]].map { |parts| described_class.new(parts).size }).to eq([10, 20, 30])
    expect(described_class.new([4], size: 5).layout.height).to eq(1)
    expect(described_class.new([12], size: 15).layout.height).to eq(3)
    expect { described_class.new([20, 20]) }.to raise_error(Rungs::Error::NotAProblem)
    expect { described_class.new([6], size: 5) }.to raise_error(Rungs::Error::NotAProblem)
  end
end

RSpec.describe Rungs::Picture::Objects do
  it "sets out both parts, apart, each thing once" do
    pairs_to(20).each do |parts|
      marks = described_class.new(parts, thing: "kite").layout.marks.reject { |mark| mark.shape == :mat }
      expect(marks.size).to eq(parts.sum)
      expect(marks.map { |mark| [mark.x, mark.y] }.uniq.size).to eq(parts.sum)
      rows = marks.group_by(&:group).transform_values { |all| all.map(&:y).uniq }
      expect((rows[0] || []) & (rows[1] || [])).to be_empty
    end
  end
end
