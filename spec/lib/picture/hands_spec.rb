# frozen_string_literal: true

RSpec.describe Rungs::Picture::Hands do
  def frame(parts, touches, **more) = described_class.new(Rungs::Picture::Frame.new(parts, **more).layout, touches)

  it "fills a place, turns it over, crosses it out and empties it again" do
    expect([1, 2, 3, 4].map { |times| frame([7], { 7 => times }).sentence }).to eq([nil, "7 + 1 = 8", "8 − 1 = 7", nil])
    expect([1, 4].map { |times| frame([7], { 7 => times }).layout.counters.size }).to eq([8, 7])
    expect(frame([3, 4], { 0 => 3 }).sentence).to eq("2 + 4 = 6")
  end

  it "keeps every frame a layout of the same size, and as it was where each place was pressed round" do
    (0..10).each do |number|
      from = Rungs::Picture::Frame.new([number]).layout
      round = described_class.new(from, (0..9).to_h { |place| [place, 4] }).layout
      expect([round.width, round.height]).to eq([from.width, from.height])
      expect(round.counters.map { |mark| [mark.x, mark.y, mark.tone] })
        .to eq(from.counters.map { |mark| [mark.x, mark.y, mark.tone] })
    end
  end

  it "ticks a thing and crosses it out, and leaves alone what has moved away" do
    things = Rungs::Picture::Objects.new([5], thing: "kite").layout
    expect(described_class.new(things, { 4 => 2, 3 => 2, 0 => 1 }).sentence).to eq("5 − 2 = 3")
    expect(described_class.new(things, { 0 => 1 }).layout.marks.first.state).to eq(:ticked)
    gone = Rungs::Picture::Objects.new([5], thing: "kite", moved: 2).layout
    expect(described_class.new(gone).places.size).to eq(3)
  end

  it "lets nothing be pressed where nothing can be moved" do
    line = Rungs::Picture::Line.new(to: 20, start: 4).layout
    expect(described_class.new(line).places).to be_empty
    expect(described_class.new(line, { 0 => 1 }.reject { true }).layout).to eq(line)
  end
end
