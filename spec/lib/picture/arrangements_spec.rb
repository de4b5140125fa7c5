# frozen_string_literal: true

# How things lie where an activity moves, joins, gathers, covers or stands on them.
RSpec.describe Rungs::Picture do
  def objects(...) = described_class::Objects.new(...).layout
  def places(layout) = layout.marks.map { |mark| [mark.x.round(2), mark.y.round(2)] }

  it "writes a sentence in a row or down the page, every term inside its picture" do
    ["3 + □ = 10", "14 − 9 = □", "□ + 7 = 100", "7 + 5 = 6 + □"].each do |text|
      [false, true].each do |down|
        layout = described_class::Sentence.new(text, down: down).layout
        terms = layout.marks.reject { |mark| mark.shape == :segment }
        expect(terms.map { |mark| mark.x + mark.width }.max).to be <= layout.width
        expect(terms.map { |mark| mark.y + mark.height }.max).to be <= layout.height
        expect(layout.height).to(down && text.count("+−") == 1 ? be > 3 : eq(1))
      end
    end
  end

  it "pushes parts together into one row, each still of its own kind, none on another" do
    (0..10).each do |one|
      (0..10).each do |other|
        next if one + other == 0

        layout = objects([one, other], thing: "shell", joined: true, ticked: one + other)
        expect(places(layout).uniq.size).to eq(one + other)
        expect(places(layout)).to eq(places(objects([one + other], thing: "shell")))
        expect(layout.marks.map(&:group).tally).to eq({ 0 => one, 1 => other }.reject { |_, many| many.zero? })
        expect(layout.marks.map(&:state).uniq).to eq([:ticked])
      end
    end
  end

  it "gathers groups into columns side by side" do
    [2, 5, 10].each do |by|
      layout = objects([by] * 4, thing: "counter", across: true)
      columns = layout.marks.group_by(&:x).values
      expect(columns.map(&:size)).to eq([by] * 4)
      expect(columns.map { |column| column.map(&:y) }.uniq).to eq([(0...by).to_a])
    end
    expect(objects([5, 5, 2], thing: "counter", across: true).alt).to eq("5 and 5 and 2 in columns")
  end

  it "shows an empty cup alone, and a mat where there is none" do
    expect(objects([0], cup: true).marks.map(&:shape)).to eq([:cup])
    expect(objects([0]).marks.map(&:shape)).to eq([:mat])
  end

  it "covers the last counters of a frame, so that the others can be seen" do
    (1..10).each do |whole|
      (0..whole).each do |covered|
        layout = described_class::Frame.new([whole], covered: covered).layout
        cards = layout.marks.select { |mark| mark.shape == :card }
        counters = layout.marks.select { |mark| mark.shape == :counter }
        expect(places(described_class::Layout.new(marks: cards))).to eq(
          places(described_class::Layout.new(marks: counters.last(covered)))
        )
      end
    end
    expect(described_class::Frame.new([9], covered: 7).layout.alt).to eq("A frame of 10: 9, 7 covered")
  end

  it "stands in the middle of a track’s cells and on a line’s ticks" do
    (1..9).each do |start|
      line = described_class::Line.new(to: 10, start: start, jumps: [start + 1], style: :track).layout
      cells = line.marks.select { |mark| mark.shape == :cell }
      dot = line.marks.find { |mark| mark.shape == :dot }
      jump = line.marks.find { |mark| mark.shape == :jump }
      middle = ->(cell) { (cell.x + (cell.width / 2.0)).round(3) }
      expect((dot.x + (dot.width / 2)).round(3)).to eq(middle.call(cells[start - 1]))
      expect(jump.points.values_at(0, 2).map { |x, _| x.round(3) }).to eq(cells[start - 1, 2].map(&middle))
    end
  end

  it "lays number cards with as many dots as they say, or none" do
    cards = described_class::Cards.new([4, 7]).layout
    expect(cards.marks.map { |mark| [mark.text, mark.points.size] }).to eq([["4", 4], ["7", 7]])
    expect(described_class::Cards.new([4, 7], dots: false).layout.marks.map(&:points)).to eq([nil, nil])
    expect(cards.marks.map(&:y)).to eq([0, 0])
  end
end
