# frozen_string_literal: true

RSpec.describe Rungs::Progress::NextProblems do
  def propose(working, band: "bridge", operation: "add", count: 50, last: [])
    described_class.propose(working: working, operation: operation, band: band, last: last, count: count)
  end

  def asked(...) = propose(...).map { |each| each.problem.to_s }

  %w[add subtract].product(%w[to5 to10 tens teens bridge to20], [1, 2, 3]).each do |operation, band, working|
    it "proposes fitting problems for #{operation}, #{band}, from rung #{working}" do
      last = [[2, 9], [4, 4]]
      proposals = propose(working, operation: operation, band: band, last: last)
      proposals.each do |each|
        expect(each.aim).to be_between(working + 1, 4)
        expect([each.problem.operation, each.problem.band]).to eq([operation, band])
        expect(last).not_to include(each.problem.fact)
        next if each.aim == 2

        expect(Rungs::Strategy::Pull.new(each.problem).rung).to eq(each.aim)
        expect(each.problem.smaller).to be >= 2
        expect(Rungs::Strategy::Path.by(each.problem, each.move).rung).to eq(each.aim)
      end
      expect(proposals.map { |each| each.problem.fact }.uniq.size).to eq(proposals.size)
    end
  end

  it "aims from counting all at counting on, from there at parts, and where the band has none at ten, from parts " \
     "at ten" do
    aims = [[1, "to10"], [2, "to10"], [2, "bridge"], [3, "bridge"], [3, "to10"], [4, "bridge"], [5, "bridge"],
            [3, "to5"], [nil, "to10"]]
    expect(aims.map do |working, band|
      described_class.aim(working, "add", band)
    end).to eq([2, 3, 3, 4, 4, nil, nil, nil, nil])
  end

  it "lets little be put to much for counting on, and taken from five or more" do
    expect(propose(1, band: "to10").map { |each| each.problem.parts }).to all(satisfy { |a, b|
      a >= 4 && b.between?(1, 3) && b < a
    })
    expect(propose(1, band: "to10", operation: "subtract").map(&:problem)).to all(satisfy { |each|
      each.whole >= 5 && each.given.between?(1, 3)
    })
    expect(asked(1, band: "to10", count: 3)).to eq(["9 + 1 = □", "8 + 2 = □", "8 + 1 = □"])
  end

  it "asks first what saves most, then what has a nine, the smaller whole and the larger first number, each fact " \
     "once" do
    expect(asked(3)).to eq(["9 + 6 = □", "9 + 4 = □", "9 + 3 = □", "9 + 7 = □", "7 + 4 = □", "8 + 4 = □", "9 + 5 = □",
                            "9 + 8 = □",
                            "8 + 3 = □", "8 + 6 = □", "7 + 5 = □", "8 + 5 = □"])
    expect(asked(3, operation: "subtract", count: 2)).to eq(["12 − 9 = □", "13 − 9 = □"])
    expect(asked(3, count: 1, last: [[6, 9]])).to eq(["9 + 4 = □"])
  end

  it "forgets what was asked more than ten problems ago" do
    expect(asked(3, count: 1, last: [[6, 9], *Array.new(10) { [1, 1] }])).to eq(["9 + 6 = □"])
  end

  it "says which move is hoped for and what to listen for, and nothing of work" do
    said = [1, 2, 3].flat_map { |working| propose(working).map(&:why) }
    expect(said).to all(match(/\A[A-Z].* would show here: .*\. Listen for “.*”\z/))
    expect(said.grep(/work|known/)).to be_empty
  end

  it "asks again what was reasoned right twice and is not known" do
    record = lambda do |rung, fact, right: true|
      Rungs::Progress::Record.new(day: Date.new(2026, 11, 2), rung: rung, affords: [1, 2, 3, 4, 5], fact: fact,
                                  right: right, help: "alone")
    end
    heard = [[4, [5, 9]], [3, [5, 9]], [4, [4, 8]], [4, [3, 9]], [3, [3, 9]], [5, [3, 9]], [2, [2, 9]], [2, [2, 9]]]
    elsewhere = [[3, [2, 3]], [3, [2, 3]]]
    records = (heard + elsewhere).map { |rung, fact| record[rung, fact] } + [record[4, [4, 8], right: false]]
    again = described_class.again(records, operation: "subtract", band: "bridge")
    expect(again.map { |each| [each.problem.to_s, each.times] }).to eq([["14 − 9 = □", 2]])
  end
end
