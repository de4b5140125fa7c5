# frozen_string_literal: true

RSpec.describe Rungs::Picture do
  def refuses(words) = raise_error(Rungs::Error::NotAProblem, words)

  it "has lines that end at a ten, and begin at one" do
    expect { described_class::Line.new(from: 3, to: 20) }.to refuses(/ends at 10, 20 or 100/)
    expect { described_class::Line.new(to: 25) }.to refuses(/ends at 10, 20 or 100/)
    [[0, 30], [40, 50], [60, 90]].each do |from, to|
      expect(described_class::Line.new(from: from, to: to).layout.marks).not_to be_empty
    end
  end

  it "draws a stretch of a line from the ten before to the ten after, ten long at least" do
    lines = [[23, 27], [20, 30], [28, 41], [30, 30]].map { |numbers| described_class::Line.send(:stretch, numbers) }
    expect(lines).to eq([[20, 30], [20, 30], [20, 50], [30, 40]])
  end

  it "takes 40 cubes and no more, towers of 20, and as many counters as a frame has places" do
    expect(described_class::Towers.new([20, 20]).layout.marks.size).to be >= 40
    expect { described_class::Towers.new([21, 20]) }.to refuses(/40 cubes at most/)
    expect { described_class::Frame.new([11], size: 10) }.to refuses(/do not fit into a frame of 10/)
    twenty = Rungs::Problem.new(parts: [12, 8], unknown: :whole)
    path = Rungs::Strategy::Path.usual(twenty, 1)
    expect(described_class::Objects.acts?(path, twenty)).to be(true)
    expect(described_class::Objects.acts?(path, Rungs::Problem.new(parts: [12, 9], unknown: :whole))).to be(false)
    compared = Rungs::Problem.from_story("compare.difference.more", [20, 8])
    expect(described_class::Towers.of(compared)).not_to be_nil
  end

  it "marks on a track the numbers that are still in" do
    marks = described_class::Track.new(5, left: [2, 3]).layout.marks.select { |mark| mark.shape == :number }
    expect(marks.select { |mark| mark.state == :new }.map(&:text)).to eq(%w[2 3])
  end
end
