# frozen_string_literal: true

RSpec.describe Rungs::Picture do
  kinds = described_class::KINDS
  some = nil

  def texts(picture) = picture.ways.map(&:text)

  it "has every picture of the field guide" do
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
          expect(layout.marks.reject { |mark| mark.x >= -0.2 && mark.x + mark.width <= layout.width + 0.01 && mark.y + mark.height <= layout.height + 0.01 }).to be_empty
          written = layout.marks.select { |mark| mark.state != :hidden && %i[node bar weight].include?(mark.shape) }.map(&:text)
          expect(written.size).to be < 3 if %w[parts bars].include?(kind.id) && problem.parts.size == 2 && !problem.many_answers?
        end
      end

      it "sees ways that come to what is there" do
        pictures = problems.filter_map { |problem| kind.of(problem) }
        pictures.each do |picture|
          total = picture.layout.counters.size
          picture.ways.each do |way|
            expect(way.groups.flatten.size).to eq(way.groups.flatten.uniq.size)
            expect(way.total).to eq(total) if total.positive? && %w[frame rack dots towers fingers objects].include?(kind.id)
          end
        end
      end

      it "acts out moves only with layouts that can be drawn" do
        problems.each { |problem| problem.paths.each { |path| expect(kind.act(path, problem)).to all(be_a(described_class::Layout)) } }
      end
    end
  end

  it "has a picture that acts out every move somewhere" do
    examples = ["9 + 5 = ?", "2 + 9 = ?", "14 - 5 = ?", "5 + ? = 14", "6 + 7 = ?", "6 + 6 = ?", "6 + 8 = ?", "23 + 4 = ?", "30 + 40 = ?", "3 + 7 = ?"].map { |text| problem(text) } + [Rungs::Problem.told("compare.difference.more", [9, 4])]
    drawn = examples.flat_map { |each| each.paths.select { |path| kinds.any? { |kind| kind.act(path, each).any? } }.map { |path| path.move.id } }.uniq
    expect(Rungs::Strategy::Move::ALL.ids - drawn).to be_empty
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
      path = problem.paths.find { |each| each.move.id == "up_through_ten" }
      before, after = described_class::Frame.act(path, problem)
      moved = after.counters.select { |mark| mark.state == :moved }
      expect(moved.size).to eq(10 - problem.larger)
      expect(moved.map { |mark| [mark.x, mark.y] }.uniq.size).to eq(moved.size)
      expect(after.counters.count { |mark| mark.x < 5 }).to eq(10)
      expect(before.counters.count { |mark| mark.x < 5 }).to eq(problem.larger)
      expect(moved.map(&:from) - before.counters.map { |mark| [mark.x, mark.y] }).to be_empty
    end
  end

  it "jumps as far as it says, in proportion, and counts jumps but not the start" do
    layout = described_class::Line.new(to: 20, start: 9, jumps: [10, 14]).layout
    jumps = layout.marks.select { |mark| mark.shape == :jump }
    expect(jumps.map(&:text)).to eq(["+1", "+4"])
    expect(jumps.map(&:order)).to eq([1, 2])
    expect(jumps[1].width).to be_within(1e-9).of(4 * jumps[0].width)
    expect(texts(described_class::Line.new(start: 14, jumps: [10, 9]))).to eq(["14 − 4 − 1"])
    expect { described_class::Line.new(to: 10, start: 14) }.to raise_error(Rungs::Error::NotAProblem, /14 is not on a line to 10/)
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
    expect { described_class::Parts.new([9, 5], split: [1, [1, 5]]) }.to raise_error(Rungs::Error::NotAProblem, "1 and 5 make 6, not 5")
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
    expect([[[12], [7, 5]], [[7], [5]], [[5], [7]]].map { |left, right| described_class::Scale.new(left, right).tips }).to eq([0, -1, 1])
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
