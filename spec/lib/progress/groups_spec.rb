# frozen_string_literal: true

RSpec.describe Rungs::Progress::Groups do
  def members(*rungs) = rungs.each_with_index.map { |rung, index| described_class::Member.new(child: "c#{index}", rung: rung) }
  def names(groups) = groups.map { |group| group.who.map(&:child) }

  # Every way of putting things into groups.
  def partitions(things)
    return [[]] if things.empty?

    first, *rest = things
    partitions(rest).flat_map { |groups| [[[first], *groups]] + groups.each_index.map { |index| groups.each_with_index.map { |group, at| at == index ? [first, *group] : group } } }
  end

  def exhaustive(members, sizes, apart)
    fitting = partitions(members).select { |groups| groups.all? { |group| sizes.cover?(group.size) && apart.none? { |pair| (pair - group.map(&:child)).empty? } } }
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
        groups = described_class.best(all, sizes: sizes, apart: apart).map(&:who)
        expect([described_class.distance(groups).round(9), groups.size]).to eq(wanted)
        expect(groups.flatten.map(&:child)).to match_array(all.map(&:child))
      end
    end
  end

  it "splits a whole class quickly, pairs apart" do
    all = members(*Array.new(30) { |index| [1, 2, 2, 3, 3, 4, 5][index % 7] })
    apart = [%w[c1 c2], %w[c2 c8], %w[c3 c4]]
    groups = described_class.best(all, sizes: 3..5, apart: apart)
    expect(groups.map { |group| group.who.size }).to all(be_between(3, 5))
    apart.each { |pair| expect(names(groups).none? { |group| (pair - group).empty? }).to be(true) }
    expect(groups.map { |group| group.who.sum(&:rung).fdiv(group.who.size) }).to eq(groups.map { |group| group.who.sum(&:rung).fdiv(group.who.size) }.sort)
  end

  it "gives each group an aim and says why" do
    groups = described_class.best(members(2, 2, 2, nil, 5, 5), sizes: 2..4)
    expect(groups.first).to have_attributes(aim: 3, reason: /\A\d on count on/)
    expect(groups.last).to have_attributes(aim: 5, reason: "2 on known fact")
    expect(groups.flat_map { |group| group.reason.scan("not heard enough") }.size).to eq(1)
  end

  it "aims at no rung that the numbers do not afford, and tells it by its neighbours" do
    to5 = Rungs::Problem::Band::ALL.fetch("to5").rungs
    groups = described_class.best(members(3, 3, 4, 4), sizes: 2..2, rungs: to5)
    expect(groups.map(&:aim)).to eq([5, 5])
    expect(groups.map(&:reason)).to eq(["2 on part–whole", "2 on part–whole and known fact"])
  end

  it "says where there is no such split" do
    expect { described_class.best(members(1, 2, 3), sizes: 2..2) }.to raise_error(Rungs::Error::NotAProblem, /3 children do not go into groups of 2 to 2/)
    expect { described_class.best(members(1, 2), sizes: 2..2, apart: [%w[c0 c1]]) }.to raise_error(Rungs::Error::NotAProblem, /apart/)
    expect { described_class.best([], sizes: 2..3) }.to raise_error(Rungs::Error::NotAProblem)
  end
end

RSpec.describe Rungs::Progress::NextProblems do
  %w[add subtract].product(%w[to5 to10 teens bridge to20], [nil, 1, 2, 3, 4, 5]).each do |operation, band, working|
    it "proposes fitting problems for #{operation}, #{band}, from #{working.inspect}" do
      last = [[2, 9], [3, 8]]
      proposals = described_class.propose(working: working, operation: operation, band: band, last: last)
      expect(proposals.map { |each| each.problem.whole }).to eq(proposals.map { |each| each.problem.whole }.sort)
      proposals.each do |each|
        expect(each.aim).to be > (working || 1)
        expect([each.problem.operation, each.problem.band]).to eq([operation, band])
        expect(each.problem.affords).to include(each.aim)
        expect(last).not_to include(each.problem.fact)
        used = (working || 1).downto(1).filter_map { |rung| Rungs::Strategy::Path.cheapest(each.problem, rung)&.work }.first
        expect(used - Rungs::Strategy::Path.cheapest(each.problem, each.aim).work).to be >= described_class::CLEARLY
      end
      expect(proposals).to be_empty if working == 5
    end
  end

  it "asks a child who counts all for counting on, and one who counts on for ten" do
    expect(described_class.propose(working: 1, operation: "add", band: "to10").map(&:aim).uniq).to eq([2])
    first = described_class.propose(working: 3, operation: "add", band: "bridge").first
    expect(first.why).to match(/\A(Making ten|Known facts) (is|are) clearly less work than .* Listen for: “/)
  end
end
