# frozen_string_literal: true

RSpec.describe Rungs::Progress::Groups do
  def members(*rungs)
    rungs.each_with_index.map { |rung, index| described_class::Member.new(child: "c#{index}", rung: rung) }
  end

  def names(groups) = groups.map { |group| group.map(&:child) }

  # Every way of putting things into groups.
  def partitions(things)
    return [[]] if things.empty?

    first, *rest = things
    partitions(rest).flat_map do |groups|
      joined = groups.each_index.map do |index|
        groups.each_with_index.map do |group, at|
          at == index ? [first, *group] : group
        end
      end
      [[[first], *groups], *joined]
    end
  end

  def exhaustive(members, sizes, apart)
    fitting = partitions(members).select do |groups|
      names(groups).all? { |group| sizes.cover?(group.size) && apart.none? { |pair| (pair - group).empty? } }
    end
    fitting.map { |groups| [described_class.distance(groups).round(9), groups.size] }.min
  end

  it "is the best split of all, for random classes of up to eight with pairs apart" do
    random = Random.new(9)
    60.times do
      all = members(*Array.new(random.rand(2..8)) { [nil, 1, 2, 3, 4, 5].sample(random: random) })
      sizes = [1..3, 2..3, 2..4, 3..5].sample(random: random)
      apart = Array.new(random.rand(0..2)) { all.map(&:child).sample(2, random: random) }.uniq
      wanted = exhaustive(all, sizes, apart)
      if wanted.nil?
        expect { described_class.best(all, sizes: sizes, apart: apart) }.to raise_error(Rungs::Error::NotAProblem)
      else
        groups = described_class.best(all, sizes: sizes, apart: apart)
        expect([described_class.distance(groups).round(9), groups.size]).to eq(wanted)
        expect(groups.flatten.map(&:child)).to match_array(all.map(&:child))
      end
    end
  end

  it "splits a whole class quickly, pairs apart" do
    all = members(*Array.new(30) { |index| [1, 2, 2, 3, 3, 4, 5][index % 7] })
    apart = [%w[c1 c2], %w[c2 c8], %w[c3 c4]]
    groups = described_class.best(all, sizes: 3..5, apart: apart)
    expect(groups.map(&:size)).to all(be_between(3, 5))
    apart.each { |pair| expect(names(groups).none? { |group| (pair - group).empty? }).to be(true) }
    means = groups.map { |group| group.sum(&:rung).fdiv(group.size) }
    expect(means).to eq(means.sort)
  end

  it "keeps twenty pairs apart among sixty children, in groups of any sizes, with a bounded number of placements" do
    random = Random.new(3)
    [2..3, 3..5, 4..4, 2..8].each do |sizes|
      all = members(*Array.new(60) { [nil, 1, 2, 3, 4, 5].sample(random: random) })
      apart = Array.new(20) { all.map(&:child).sample(2, random: random) }
      search = described_class::Search.new(all, sizes, apart)
      groups = search.best
      expect(groups.map(&:size)).to all(satisfy { |size| sizes.cover?(size) })
      expect(apart.select { |pair| names(groups).any? { |group| (pair - group).empty? } }).to be_empty
      expect(groups.flatten.size).to eq(60)
      numbers = (60 / sizes.min) - (60 / sizes.max.to_f).ceil + 1
      expect(search.tried).to be <= (described_class::Search::MOST_TRIED + 61) * numbers
    end
  end

  def told(*groups, band: "bridge", operation: "add")
    described_class.with_aims(groups.map { |rungs| members(*rungs) }, operation: operation, band: band)
  end

  it "gives each group an aim and says why, and none to those who make ten or know" do
    groups = told([2, 2, 2, nil], [3, 3], [4, 5])
    expect(groups.map(&:aim)).to eq([4, 4, nil])
    expect(groups.map(&:reason)).to eq(["3 on count on, 1 not heard enough, put in the middle", "2 on part–whole",
                                        "1 on make ten, 1 on known fact"])
    expect(groups.map(&:heading)).to eq(["Nine as ten", "Up through ten", "Another way, a story"])
    expect(told([2, 2], band: "to10").first.heading).to eq("Fives and some")
    expect(told([nil, nil]).map(&:heading)).to eq(["A check-in each"])
    knowing = [[4, 4]] * 5
    expect(told(*knowing).map(&:heading)).to eq(["Another way, a story", "A missing part", "Both sides the same",
                                                 "The next ten", "Another way, a story, with a story"])
    expect(told(*[[nil]] * 4).map(&:heading).uniq.size).to eq(4)
  end

  it "aims at no rung that the numbers do not let show, and tells it by its neighbours" do
    groups = told([3, 3], [4, 4], band: "to5")
    expect(groups.map(&:aim)).to eq([nil, nil])
    expect(groups.map(&:reason)).to eq(["2 on part–whole", "2 on part–whole and known fact"])
  end

  it "has each group do something else, in four words, and the same in another way where there is nothing else",
     :deep do
    expect(told([2, 2], [2, 2], [1, 2, 2]).map(&:heading).uniq.size).to eq(3)
    all = [*1..5].product(Rungs::Problem::Band::ALL.ids, %w[add subtract])
    headings = all.flat_map { |rung, band, operation| told([rung], band: band, operation: operation).map(&:heading) }
    expect(headings.map { |each| each.split.size }).to all(be <= 4)
    expect(headings.grep(/\A[a-z]/)).to be_empty
  end

  it "says where there is no such split" do
    expect do
      described_class.best(members(1, 2, 3),
                           sizes: 2..2)
    end.to raise_error(Rungs::Error::NotAProblem, /3 children do not go into groups of 2 to 2/)
    expect do
      described_class.best(members(1, 2), sizes: 2..2,
                                          apart: [%w[c0 c1]])
    end.to raise_error(Rungs::Error::NotAProblem, /apart/)
    expect { described_class.best([], sizes: 2..3) }.to raise_error(Rungs::Error::NotAProblem)
  end
end
