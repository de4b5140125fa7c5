# frozen_string_literal: true

require "app_helper"

RSpec.describe Drawings::Picture do
  def drawn(layout, **how) = Nokogiri::XML(described_class.draw(layout, **how), &:strict)

  it "draws every step of every activity within its frame, with words for those who do not see it" do
    Rungs::Activity::ALL.each do |activity|
      choices = activity.options.grep_v(Rungs::Activity::Ranged::OPTION).flat_map do |option|
        option.choices.first(4).map { |choice| { option.id => choice } }
      end
      kinds = [{}, *choices].map { |chosen| activity.with(chosen) }.reject { |kind| kind.most&.zero? }
      kinds.flat_map { |kind| kind.items(seed: 2, count: 1) }.flat_map(&:steps).uniq(&:layout).each do |step|
        svg = drawn(step.layout).root
        width, height = svg["viewBox"].split.last(2).map(&:to_f)
        expect([activity.id, svg["aria-label"]]).to eq([activity.id, step.layout.alt])
        expect([width, height]).to all(be > 20)
        xs = svg.xpath("//@cx").map { |each| each.value.to_f }
        expect(xs).to all(be_between(-1, width + 1))
      end
    end
  end

  it "draws the way of what moved through each of its points" do
    problem = Rungs::Problem.from_story("add_to.result", [9, 5])
    scenes = problem.paths.flat_map { |path| Rungs::Picture::Frame.act(path, problem) }
    moved = scenes.find { |scene| scene.marks.any? { |mark| mark.from && mark.points } }
    ways = moved.marks.select { |mark| mark.from && mark.points }
    corners = ways.map { |mark| mark.points.size }
    drawn_ways = drawn(moved).css("path[stroke-dasharray], path[marker-end], path").map { |path| path["d"] }
    expect(drawn_ways.map { |way| way.scan(/[MLQ]/).size }).to include(*corners)
  end

  it "counts places that say nothing themselves" do
    frame = Rungs::Picture::Frame.new([3, 2]).layout
    places = Rungs::Picture::Hands.new(frame).places
    labels = drawn(frame, places: places).css("g[role=button]").map { |each| each["aria-label"] }
    expect(labels).to eq((1..places.size).map { |number| "place #{number}" })
  end

  it "draws a square of the facts as far as its whole, and no further" do
    cell = Drawings::Square::Cell.new(tint: 1, mark: nil, chosen: false, label: "x", href: "/x")
    [[[*0..5], 5, 21], [[*0..10], 10, 66], [[2, 3, 8, 9], 12, 12]].each do |numbers, whole, facts|
      drawn = Drawings::Square.new(numbers) { |p, q| cell if p + q <= whole }.draw(label: "facts")
      expect(drawn.scan("<a ").size).to eq(facts)
    end
    bare = Drawings::Square.new([4]) { Drawings::Square::Cell.new(bare: true) }.draw(label: "facts")
    expect([bare.scan("<rect").size, bare.scan(">8<").size]).to eq([0, 1])
  end

  it "draws a ladder alone where nothing is said of it, and once" do
    plain, secure, emerging = [{}, { secure: true }, { emerging: true }].map { |how| Drawings::Ladder.draw(3, **how) }
    expect([plain, secure, emerging].uniq.size).to eq(3)
    expect(plain).to eq(Drawings::Ladder.draw(3, secure: false, emerging: false, label: nil, css: "ladder"))
  end

  it "says each place that can be pressed, as a button that the keyboard reaches" do
    line = Rungs::Picture::Line.new(to: 20, start: 7).layout
    places = Rungs::Picture::Hands.new(line).places
    buttons = drawn(line, places: places).css("g[role=button]")
    expect(buttons.map { |each| each["aria-label"] }).to eq((0..20).map { |number| "to #{number}" })
    expect(buttons.map { |each| each["tabindex"] }.uniq).to eq(["0"])
    expect(drawn(line, places: places).root["role"]).to eq("group")
  end

  it "draws a band around each group, and lets each mark of a tappable picture be told" do
    frame = Rungs::Picture::Frame.new([4, 3]).layout
    expect(drawn(frame, loops: [[1, 2, 3, 4], [5]]).css("polyline").size).to eq(2)
    orders = drawn(frame, tappable: true).css("g[data-order]").map { |each| each["data-order"].to_i }
    expect(orders).to eq([*1..7])
  end

  it "tells the two kinds of counter apart by more than colour" do
    filled = drawn(Rungs::Picture::Frame.new([1, 1]).layout).css("circle").map do |each|
      each["fill"] == Drawings::Shapes::PAPER
    end
    expect(filled).to eq([false, true])
  end
end
