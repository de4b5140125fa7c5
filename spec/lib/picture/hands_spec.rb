# frozen_string_literal: true

RSpec.describe Rungs::Picture::Hands do
  def on(kind, *presses) = described_class.new(kind.layout, presses)
  def says(kind, *presses) = on(kind, *presses).sentence
  def picture(name) = Rungs::Picture.const_get(name)
  def frame(parts, **more) = picture(:Frame).new(parts, **more)

  # Every kind that can be worked with, in many states.
  def workable
    pairs = (0..10).flat_map { |one| (0..10 - one).map { |other| [one, other] } }
    pairs.flat_map do |one, other|
      [frame([one, other]), picture(:Objects).new([one, other], thing: "kite"), picture(:Rack).new([one, other]),
       picture(:Line).new(to: 20, start: one, jumps: [one + other].reject { |to| to == one }),
       (picture(:Towers).new([one, other]) if one + other > 0), picture(:Scale).new([one], [other]),
       picture(:Parts).new([one, other]), (picture(:Fingers).new([one, other]) if [one, other].max <= 5),
       picture(:Track).new(10, left: (one..one + other).to_a)].compact
    end
  end

  it "keeps every picture a layout within its size, whatever is pressed, with a sentence that is true", :deep do
    workable.each_with_index do |kind, seed|
      random = Random.new(seed)
      presses = Array.new(12) { random.rand(22) }
      hands = on(kind, *presses)
      layout = hands.layout
      expect(layout.marks.map { |mark| [mark.x + mark.width, mark.y] })
        .to all(satisfy { |right, top| right <= layout.width + 0.01 && top >= -0.01 })
      next unless hands.sentence

      left, right = hands.sentence.split(" = ").map { |side| side.tr("−", "-").delete(" ").scan(/-?\d+/).sum(&:to_i) }
      expect([hands.sentence, left]).to eq([hands.sentence, right])
    end
  end

  it "does the same for the same presses, and nothing for a place there is not" do
    workable.first(60).each do |kind|
      expect(on(kind, 1, 0, 1).layout).to eq(on(kind, 1, 0, 1).layout)
      expect(on(kind, -1, 999).sentence).to eq(on(kind).places.empty? ? nil : on(kind, 999).sentence)
    end
  end

  it "fills a cell, turns its counter over, crosses it out and empties it again" do
    expect([1, 2, 3, 4].map { |times| says(frame([7]), *[7] * times) }).to eq([nil, "7 + 1 = 8", "8 − 1 = 7", nil])
    expect([1, 4].map { |times| on(frame([7]), *[7] * times).layout.counters.size }).to eq([8, 7])
    expect(says(frame([3, 4]), 0, 0, 0)).to eq("2 + 4 = 6")
    (0..10).each do |number|
      round = on(frame([number]), *(0..9).to_a * 4).layout
      expect(round.counters.map { |mark| [mark.x, mark.y, mark.tone] })
        .to eq(frame([number]).layout.counters.map { |mark| [mark.x, mark.y, mark.tone] })
    end
  end

  it "ticks a thing and crosses it out, and leaves alone what has moved away" do
    things = picture(:Objects).new([5], thing: "kite")
    expect(says(things, 4, 4, 3, 3, 0)).to eq("5 − 2 = 3")
    expect(on(things, 0).layout.marks.first.state).to eq(:ticked)
    expect(on(picture(:Objects).new([5], thing: "kite", moved: 2)).places.size).to eq(3)
  end

  it "turns a counter over after it was ticked and crossed out, and ticks dots" do
    counters = picture(:Objects).new([5, 3], thing: "counter")
    expect((1..4).map do |times|
      says(counters, *[0] * times)
    end).to eq(["5 + 3 = 8", "8 − 1 = 7", "4 + 4 = 8", "5 + 3 = 8"])
    expect(on(counters, 0, 0, 0).layout.marks.first.to_h).to include(tone: :b, group: 1, state: nil)
    domino = picture(:Dots).new("domino", [3, 4])
    expect([on(domino).places.size, on(domino, 0, 1, 1).layout.marks.map(&:state).tally])
      .to match([7, { nil => 7, ticked: 1, struck: 1 }])
    expect(says(domino, 0)).to be_nil
  end

  it "pushes beads over and back" do
    expect(says(picture(:Rack).new([3]), 6)).to eq("7 + 3 = 10")
    expect(says(picture(:Rack).new([7]), 4)).to eq("4 + 6 = 10")
    expect(says(picture(:Rack).new([3, 2]), 7, 14)).to eq("8 + 5 = 13")
    expect(on(picture(:Rack).new([3], card: true)).places).to be_empty
  end

  it "jumps from the start, one landing after the other, and takes the last jump back" do
    line = picture(:Line).new(to: 20, start: 7)
    expect([says(line, 10, 12), says(line, 12, 12, 4)]).to eq(["7 + 3 + 2 = 12", "7 − 3 = 4"])
    expect(on(picture(:Line).new(to: 10), 3).layout.alt).to include("starting at 3")
    expect(says(picture(:Line).new(to: 100, start: 40), 10)).to eq("40 + 10 = 50")
  end

  it "puts cubes on towers, one on a pan, and a part out of a whole" do
    expect(says(picture(:Towers).new([4, 3]), 0, 3)).to eq("5 + 2 = 7")
    scale = picture(:Scale).new([7], [7])
    expect([on(scale, 0).layout.alt, says(scale, 0), says(scale, 0, 1)])
      .to eq(["A balance: 7 + 1 and 7, the left side down", nil, "7 + 1 = 7 + 1"])
    expect(says(picture(:Parts).new([4, 3]), 0, 0)).to eq("6 + 1 = 7")
    expect(on(picture(:Parts).new([4, 3], hidden: 1)).places).to be_empty
    expect(on(picture(:Scale).new([7], ["?", 3], weights: [7, 7])).places).to be_empty
  end

  it "folds fingers, strikes numbers and covers places of a mat" do
    expect(says(picture(:Fingers).new([7]), 0, 9)).to eq("4 + 3 = 7")
    expect(on(picture(:Track).new(10), 1).layout.alt).to include("10 left")
    expect(on(picture(:Track).new([2, 3, 3, 4]), 1).layout.alt).to eq("A mat of 4 places, 1 covered")
  end

  it "lets nothing be pressed where nothing can be moved" do
    sentence = picture(:Sentence).new("3 + 4 = □").layout
    expect(described_class.new(sentence, [1]).layout).to eq(sentence)
  end
end
