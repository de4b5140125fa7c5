# frozen_string_literal: true

RSpec.describe Rungs::Clip::Practice do
  let(:rungs) { Rungs::Clip::Agreement::RUNGS }

  def table(pairs) = Rungs::Clip::Confusions.new(pairs)

  it "is twelve clips, no problem twice" do
    random, taken = Random.new(4), []
    scenes = Array.new(described_class::LENGTH) do
      described_class.next(table([]), taken, random).tap { |scene| taken << scene.problem.to_s }
    end
    expect(taken.uniq.size).to eq(12)
    expect(scenes.map(&:code).uniq.size).to be >= 4
  end

  it "asks more for what this person takes for another, in proportion to that chance" do
    mixed = table(([%w[part_whole make_ten]] * 20) + ([%w[count_on count_on]] * 20))
    random = Random.new(1)
    drawn = Array.new(4000) { mixed.next_rung(random) }.tally
    chances = rungs.each_index.map { |was| mixed.mistaken(was) }
    rungs.each_with_index do |rung, was|
      expect(drawn.fetch(rung, 0) / 4000.0).to be_within(0.03).of(chances[was] / chances.sum)
    end
    expect(drawn.max_by(&:last).first).to eq("part_whole")
  end

  it "counts four for right, one for a neighbour and a quarter elsewhere before anything was heard" do
    none = table([])
    expect(none.mistaken(0)).to be_within(1e-9).of(1.75 / 5.75)
    expect(none.mistaken(2)).to be_within(1e-9).of(2.5 / 6.5)
    expect(table([%w[count_all count_all]]).mistaken(0)).to be_within(1e-9).of(1.75 / 6.75)
  end

  it "leaves what is off the ladder out of the table" do
    expect(table([%w[unseen count_on], %w[count_on guess], %w[count_on make_ten]]).n).to eq(1)
  end

  it "changes nothing in an estimate for a perfect ear, and mixes another's as their clips to sixty" do
    perfect = table(rungs.product([1]).map { |rung, _| [rung, rung] } * 30)
    (1..5).each { |was| (1..5).each { |heard| expect(perfect.chance(heard, was)).to eq(was == heard ? 1.0 : 0.0) } }
    half = table(([%w[count_on count_on]] * 30) + ([%w[count_on part_whole]] * 30))
    expect(half.chance(3, 2)).to be_within(1e-9).of(0.25)
    expect(half.chance(2, 2)).to be_within(1e-9).of(0.75)
    expect((1..5).map { |was| (1..5).sum { |heard| half.chance(heard, was) } }).to all(be_within(1e-9).of(1))
    expect([half.enough?, table([%w[count_on count_on]] * 59).enough?]).to eq([true, false])
  end
end
