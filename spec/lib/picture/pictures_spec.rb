# frozen_string_literal: true

RSpec.describe Rungs::Picture do
  kinds = described_class::KINDS
  some = nil

  def texts(picture) = picture.ways.map(&:text)

  it "has every picture of the guide" do
    expect(kinds.ids).to match_array(%w[frame rack line parts dots towers fingers scale bundles objects bars])
  end

  kinds.each do |kind|
    describe kind.title do
      let(:problems) { some ||= problems_to(20).sample(30, random: Random.new(6)) }

      it "lays out every problem it can show, inside its edges, with words, and never shows a missing answer" do
        shown = problems.filter_map { |problem| kind.of(problem)&.then { |picture| [problem, picture.layout] } }
        expect(shown).not_to be_empty
        shown.each do |problem, layout|
          expect(layout.alt).not_to be_empty
          expect(layout.marks.reject do |mark|
            mark.x >= -0.2 && mark.x + mark.width <= layout.width + 0.01 && mark.y + mark.height <= layout.height + 0.01
          end).to be_empty
          written = layout.marks.select do |mark|
            mark.state != :hidden && %i[node bar weight].include?(mark.shape)
          end.map(&:text)
          expect(written.size).to be < 3 if %w[parts
                                               bars].include?(kind.id) && problem.parts.size == 2 && !problem
                                            .many_answers?
        end
      end

      it "sees ways that come to what is there" do
        pictures = problems.filter_map { |problem| kind.of(problem) }
        pictures.each do |picture|
          total = picture.layout.counters.size
          picture.ways.each do |way|
            expect(way.groups.flatten.size).to eq(way.groups.flatten.uniq.size)
            expect(way.total).to eq(total) if total.positive? && %w[frame rack dots towers fingers
                                                                    objects].include?(kind.id)
          end
        end
      end

      it "acts out moves only with layouts that can be drawn" do
        problems.each do |problem|
          problem.paths.each do |path|
            expect(kind.act(path, problem)).to all(be_a(described_class::Layout))
          end
        end
      end
    end
  end

  it "has a picture that acts out every move somewhere" do
    texts = ["9 + 5 = ?", "2 + 9 = ?", "14 - 5 = ?", "13 - 9 = ?", "5 + ? = 14", "6 + 7 = ?", "6 + 6 = ?", "6 + 8 = ?",
             "23 + 4 = ?",
             "30 + 40 = ?", "70 - 30 = ?", "3 + 7 = ?", "10 + 4 = ?", "5 + 3 = ?", "27 + 5 = ?", "42 - 5 = ?",
             "28 - 15 = ?", "34 + 25 = ?", "65 - 27 = ?",
             "8 + 2 + 5 = ?", "4 + 4 + 5 = ?", "8 + 4 = ? + 5"]
    examples = texts.map { |text| problem(text) } + [Rungs::Problem.from_story("compare.difference.more", [9, 4])]
    paths = examples.flat_map { |each| each.paths.map { |path| [path, each] } }
    drawn = paths.select { |path, each| kinds.any? { |kind| kind.act(path, each).any? } }.map { |path, _| path.move.id }
    expect(Rungs::Strategy::Move::ALL.ids - drawn).to be_empty
    own = paths.select do |path, each|
      kinds.fetch(path.move.draws.to_s).act(path, each).any?
    end.map { |path, _| path.move.id }
    expect(Rungs::Strategy::Move::ALL.ids - own).to be_empty
  end

  it "draws a new move from its entry alone" do
    move = Rungs::Strategy::Move.new(
      id: "by_threes", rung: "part_whole", title: "in threes", for_a: :whole, draws: :frame, applies: ->(_) { true },
      acts: ->(problem) { { gathered: [[3], [3, problem.whole - 3]] } },
      goes: ->(problem) { { landings: [3, problem.whole], equations: ["3 + 1 = 4"], says: "Three and one." } }
    )
    path = move.path(problem("2 + 2 = ?"))
    expect(described_class::Frame.act(path, problem("2 + 2 = ?")).map { |layout| layout.counters.size }).to eq([3, 4])
  end

  it "shows an empty mat for nothing, and one pip of a ring in its middle" do
    [described_class::Objects.new([0]), described_class::Dots.new("ring", [0]),
     described_class::Towers.new([0])].each do |picture|
      expect(picture.layout.marks.map(&:shape)).to eq([:mat])
    end
    one = described_class::Dots.new("ring", [1]).layout
    expect([one.width, one.height]).to eq([0.8, 0.8])
  end

  it "keeps every mark inside the picture" do
    pictures = [described_class::Rack.new([8], card: true), described_class::Rack.new([4, 6], card: true),
                described_class::Line.new(start: 0, jumps: [10, 20]),
                described_class::Parts.new([9, 5], split: [0, [4, 5]]), described_class::Dots.new("die", [5])]
    pictures.map(&:layout).each do |layout|
      expect(layout.marks.map(&:x).min).to be >= 0
      expect(layout.marks.map(&:y).min).to be >= 0
      expect(layout.marks.map { |mark| mark.x + mark.width }.max).to be <= layout.width
    end
  end

  it "overprints no numeral and no label of a line, whatever is stood on" do
    [[38, 65], [27, 38], [9, 14], [0, 100], [95, 100]].each do |start, finish|
      layout = described_class::Line.new(to: 100, start: start, jumps: [*start + 1..finish]).layout
      labels = layout.marks.select do |mark|
        mark.shape == :jump && !mark.text.empty?
      end.map { |mark| mark.x + (mark.width / 2) }
      expect(labels.each_cons(2).map { |one, after| (after - one).abs }).to all(be >= 1)
      numerals = layout.marks.select { |mark| mark.shape == :number }.map(&:x).sort
      expect(numerals.each_cons(2).map { |one, after| after - one }).to all(be >= 0.7)
    end
  end

  it "hides what is named, and says in words what can be hidden" do
    described_class::KINDS.each do |kind|
      taken = kind.instance_method(:initialize).parameters.filter_map { |how, name| name if how == :key }
      expect([kind.id, kind.settings]).to match([kind.id, match_array(taken | (kind.settings & [:arrangement]))])
    end
    expect(described_class::Parts.from([9, 5], hidden: :whole).layout.alt).to start_with("whole hidden")
    expect(described_class::Bars.from([9, 5], hidden: :second).layout.alt).to include("part hidden")
    expect do
      described_class::Parts.from([9, 5],
                                  hidden: :third)
    end.to raise_error(Rungs::Error::Unknown, /hide whole, first or second/)
  end

  it "compares bars from one edge, the difference where nothing is, and keeps 1 and 99 in proportion" do
    marks = described_class::Bars.new([5, 4], compare: true).layout.marks
    expect(marks.map(&:shape)).to eq(%i[bar bar difference])
    expect(marks.map(&:x)).to eq([0, 0, marks[1].width])
    whole, one, rest = described_class::Bars.new([1, 99]).layout.marks.select { |mark| mark.shape == :bar }.map(&:width)
    expect([one / whole, rest / whole]).to match([be_within(1e-9).of(0.01), be_within(1e-9).of(0.99)])
  end

  it "sees a frame of 7 as 5 and 2 and 10 less 3, and by pairs as 4 and 3" do
    expect(texts(described_class::Frame.new([7]))).to eq(["5 + 2", "10 − 3"])
    expect(texts(described_class::Frame.new([7], fill: :pairs))).to eq(["4 + 3", "10 − 3"])
    expect(texts(described_class::Frame.new([9, 5]))).to eq(["5 + 5 + 4", "9 + 5"])
    expect(texts(described_class::Frame.new([0]))).to be_empty
  end

  it "moves exactly the counters that fill the ten" do
    (2..9).to_a.product((2..9).to_a).select { |p, q| p + q > 10 }.each do |p, q|
      problem = problem("#{p} + #{q} = ?")
      path = Rungs::Strategy::Path.by(problem, "up_through_ten")
      before, after = described_class::Frame.act(path, problem)
      moved = after.counters.select { |mark| mark.state == :moved }
      expect(moved.size).to eq(10 - problem.larger)
      expect(moved.map { |mark| [mark.x, mark.y] }.uniq.size).to eq(moved.size)
      expect(after.counters.count { |mark| mark.x < 5 }).to eq(10)
      expect(before.counters.count { |mark| mark.x < 5 }).to eq(problem.larger)
      expect(moved.map(&:from) - before.counters.map { |mark| [mark.x, mark.y] }).to be_empty
    end
  end

  it "lets no way of a counter that moved cross a counter" do
    %i[fives pairs].product((2..9).to_a, (2..9).to_a).select { |_, p, q| p + q > 10 }.each do |fill, p, q|
      path = Rungs::Strategy::Path.by(problem("#{p} + #{q} = ?"), "up_through_ten")
      after = described_class::Frame.act(path, problem("#{p} + #{q} = ?"), fill: fill)[1]
      after.counters.filter_map(&:points).each do |points|
        steps = points.each_cons(2).flat_map do |from, to|
          (1..19).map { |step| from.zip(to).map { |one, other| one + ((other - one) * step / 20.0) } }
        end
        near = after.counters.map { |mark| steps.map { |x, y| Math.hypot(mark.x + 0.5 - x, mark.y + 0.5 - y) }.min }
        expect(near.min).to be >= 0.4
      end
    end
  end

  it "jumps as far as it says, in proportion, and counts jumps but not the start" do
    layout = described_class::Line.new(to: 20, start: 9, jumps: [10, 14]).layout
    jumps = layout.marks.select { |mark| mark.shape == :jump }
    expect(jumps.map(&:text)).to eq(["+1", "+4"])
    expect(jumps.map(&:order)).to eq([1, 2])
    expect(jumps[1].width).to be_within(1e-9).of(4 * jumps[0].width)
    expect(texts(described_class::Line.new(start: 14, jumps: [10, 9]))).to eq(["14 − 4 − 1"])
    expect do
      described_class::Line.new(to: 10, start: 14)
    end.to raise_error(Rungs::Error::NotAProblem, /14 is not on a line to 10/)
    expect { described_class::Line.new(to: 13) }.to raise_error(Rungs::Error::NotAProblem)
  end

  it "pushes beads to the left, five of one tone and five of another, and hides the rest behind a card" do
    (0..10).each do |pushed|
      beads = described_class::Rack.new([pushed], card: true).layout.marks.select { |mark| mark.shape == :bead }
      expect(beads.size).to eq(10)
      expect(beads.count { |mark| mark.tone == :a }).to eq(5)
      expect(beads.reject { |mark| mark.state == :hidden }.map(&:order)).to eq([*1..pushed])
      expect(beads.map(&:x)).to eq(beads.map(&:x).sort)
      expect(beads.map(&:x).each_cons(2).map { |one, after| after - one }.min).to be >= 0.99
    end
  end

  it "breaks a part only into what makes it, and says which number is off" do
    expect(described_class::Parts.new([9, 5], split: [1, [1, 4]]).layout.alt).to include("5 is broken into 1 and 4")
    expect do
      described_class::Parts.new([9, 5],
                                 split: [1, [1, 5]])
    end.to raise_error(Rungs::Error::NotAProblem, "1 and 5 make 6, not 5")
  end

  it "arranges dots so that no two touch, and sees their groups" do
    described_class::Dots::ARRANGEMENTS.product((0..20).to_a).each do |arrangement, number|
      dots = described_class::Dots.arranged(arrangement, number) or next
      pips = dots.layout.marks.select { |mark| mark.shape == :pip }
      expect(pips.size).to eq(number)
      near = pips.combination(2).map { |one, other| Math.hypot(one.x - other.x, one.y - other.y) }.min
      expect(near.nil? || near > 0.5).to be(true), "#{arrangement} of #{number}: #{near}"
      dots.ways.each { |way| expect(way.total).to eq(number) }
    end
    expect(texts(described_class::Dots.new("domino", [5, 2]))).to eq(["5 + 2"])
    expect(texts(described_class::Dots.new("pairs", [7]))).to eq(["2 + 2 + 2 + 1"])
    expect { described_class::Dots.new("die", [7]) }.to raise_error(Rungs::Error::NotAProblem)
  end

  it "tips a balance to the heavier side" do
    expect([[[12], [7, 5]], [[7], [5]], [[5], [7]]].map do |left, right|
      described_class::Scale.new(left, right).tips
    end).to eq([0, -1, 1])
  end

  it "raises as many fingers as it says" do
    (0..10).each { |number| expect(described_class::Fingers.new([number]).layout.counters.size).to eq(number) }
    expect { described_class::Fingers.new([11]) }.to raise_error(Rungs::Error::NotAProblem)
  end

  it "shows tens and ones" do
    marks = described_class::Bundles.new([34]).layout.marks
    expect(marks.map(&:shape).tally).to eq(bundle: 3, stick: 4)
    expect(described_class::Bundles.new([47], style: :cards).layout.marks.map(&:text)).to eq(%w[40 7])
    expect { described_class::Bundles.new([47], style: :blocks) }.to raise_error(Rungs::Error::Unknown)
  end

  it "draws bars in proportion" do
    whole, first, second = described_class::Bars.new([8, 4]).layout.marks.map(&:width)
    expect(first + second).to be_within(1e-9).of(whole)
    expect(first).to be_within(1e-9).of(second * 2)
  end
end
