# frozen_string_literal: true

RSpec.describe Rungs::Clip::Agreement do
  let(:rungs) { described_class::RUNGS }

  # @param table [Array<Array<Integer>>] rows a, columns b
  def coded(table)
    table.each_with_index.flat_map do |row, a|
      row.each_with_index.flat_map do |times, b|
        Array.new(times) { described_class::Pair.new(item: "#{a} #{b}", a: rungs[a], b: rungs[b]) }
      end
    end
  end

  def of(table, **how) = described_class.new(coded(table), **how)

  # Two radiologists who looked at 85 films: Boyd and others 1982, as worked in Altman, Practical Statistics for Medical
  # Research (1991), pages 403 to 409.
  it "gives what a published example has, plain and weighted by squares" do
    films = of([[21, 12, 0, 0], [4, 17, 1, 0], [3, 9, 15, 2], [0, 0, 0, 1]])
    expect(films.n).to eq(85)
    expect([films.alike, films.kappa, films.weighted].map { |each| each.round(4) }).to eq([0.6353, 0.4728, 0.6714])
    expect(films.counts.map(&:sum)).to eq([33, 22, 29, 1, 0])
  end

  # Ninety-one couples: Agresti, Categorical Data Analysis (1990), table 2.11.
  it "gives what another has, where little is alike" do
    couples = of([[7, 7, 2, 3], [2, 8, 3, 7], [1, 5, 4, 9], [2, 8, 9, 14]])
    expect([couples.kappa, couples.weighted].map { |each| each.round(3) }).to eq([0.129, 0.332])
  end

  it "is 1 for the same coder, and near 0 for two who do not listen to each other" do
    same = of(Array.new(5) { |row| Array.new(5) { |column| row == column ? 5 : 0 } })
    expect([same.alike, same.kappa, same.weighted, same.kappa_interval]).to eq([1.0, 1.0, 1.0, [1.0, 1.0]])
    random = Random.new(3)
    apart = Array.new(2000) do |item|
      described_class::Pair.new(item: item, a: rungs.sample(random: random), b: rungs.sample(random: random))
    end
    alike = described_class.new(apart)
    expect([alike.kappa, alike.weighted]).to all(be_within(0.05).of(0))
  end

  it "gives figures from twenty answers on, none where chance alone agrees, and counts off the ladder apart" do
    few, enough = of([[9, 1], [2, 7]]), of([[9, 1], [2, 8]])
    expect([few.n, few.kappa, few.weighted_interval, few.alike]).to eq([19, nil, nil, 16 / 19.0])
    expect([enough.n, enough.kappa.class, enough.kappa_interval.size]).to eq([20, Float, 2])
    one_rung = of([[25]])
    expect([one_rung.alike, one_rung.kappa, one_rung.kappa_interval, one_rung.weighted]).to eq([1.0, nil, nil, nil])
    unseen = described_class::Pair.new(item: 1, a: "unseen", b: "count_on")
    off = described_class.new(coded([[9, 1], [2, 8]]) + [unseen])
    expect([off.n, off.off_ladder, off.kappa, off.differences.size]).to eq([20, 1, enough.kappa, 4])
    expect(described_class.new([]).alike).to be_nil
    expect { described_class.new([described_class::Pair.new(item: 1, a: "by_magic", b: "guess")]) }
      .to raise_error(Rungs::Error::Unknown, /no coding “by_magic”/)
  end

  it "draws the same interval for the same seed, and another for another" do
    table = [[9, 3, 1], [2, 8, 2], [1, 1, 6]]
    first, again, other = [1, 1, 2].map { |seed| of(table, seed: seed) }
    expect(first.kappa_interval).to eq(again.kappa_interval)
    expect(first.kappa_interval).not_to eq(other.kappa_interval)
    expect(first.kappa).to be_between(*first.kappa_interval)
    expect(first.weighted).to be_between(*first.weighted_interval)
  end

  # A pair of coders of whom the second hears what the first did in so many of a hundred, else any other.
  def true_kappa(alike) = 1 - ((1 - alike) / (1 - 0.2))

  it "covers the true kappa in 90 to 98 of 100 made-up cases of 100 answers", :deep do
    random = Random.new(11)
    covered = Array.new(100) do |time|
      share = random.rand(0.6..0.85)
      pairs = Array.new(100) do |item|
        a = rungs.sample(random: random)
        b = random.rand < share ? a : (rungs - [a]).sample(random: random)
        described_class::Pair.new(item: item, a: a, b: b)
      end
      low, high = described_class.new(pairs, seed: time).kappa_interval
      true_kappa(share).between?(low, high)
    end
    expect(covered.count(true)).to be_between(90, 98)
  end
end
