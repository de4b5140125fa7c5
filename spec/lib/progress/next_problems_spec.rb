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

        expect(Rungs::Strategy::Pull.new(each.problem).rung).to eq(each.aim) unless band == "to5"
        expect(each.problem.smaller).to be >= (band == "to5" ? 1 : 2)
        expect(Rungs::Strategy::Path.by(each.problem, each.move).rung).to eq(each.aim)
      end
      expect(proposals.map { |each| each.problem.fact }.uniq.size).to eq(proposals.size)
    end
  end

  it "aims from counting all at counting on, from there at parts, and where the band has none at ten, from parts " \
     "at ten" do
    aims = { "to5" => [3, 3, nil, nil], "to10" => [2, 3, 4, nil], "teens" => [3, 3, nil, nil],
             "bridge" => [2, 4, 4, nil], "to20" => [2, 3, nil, nil], "tens" => [2, 3, nil, nil],
             "to100" => [2, 3, 4, nil] }
    expect(aims.keys.to_h do |band|
      [band, (1..4).map do |working|
        described_class.aim(working, "add", band)
      end]
    end).to eq(aims)
    expect([described_class.aim(nil, "add", "to10"), described_class.aim(5, "add", "bridge")]).to eq([nil, nil])
  end

  it "lets little be put to much for counting on, and taken from five or more" do
    expect(propose(1, band: "to10").map { |each| each.problem.parts }).to all(satisfy { |a, b|
      a >= 4 && b.between?(1, 3) && b < a
    })
    expect(propose(1, band: "to10", operation: "subtract").map(&:problem)).to all(satisfy { |each|
      each.whole >= 5 && each.given.between?(1, 3)
    })
    expect(asked(1, band: "to10", count: 3)).to eq(["9 + 1 = □", "8 + 2 = □", "7 + 3 = □"])
  end

  it "asks first what saves most, then what has a nine, the smaller whole and the larger first number, each fact " \
     "once" do
    expect(asked(3, count: 3)).to eq(["9 + 6 = □", "7 + 4 = □", "8 + 3 = □"])
    expect(asked(3)).to match_array(%w[9+6 9+4 9+3 9+7 7+4 8+4 9+5 9+8 8+3 8+6 7+5 8+5].map do |text|
      "#{text.sub('+', ' + ')} = □"
    end)
    expect(asked(3, operation: "subtract", count: 2)).to eq(["12 − 9 = □", "11 − 8 = □"])
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

  it "names every way the aim could sound" do
    why = propose(3, count: 1).first.why
    expect(why).to include("“Ten and six is sixteen, and one less is fifteen.”",
                           "“Nine and one is ten, and five more is")
  end

  it "counts on by tens in tens, one to three of them" do
    tens = propose(1, band: "tens", count: 50)
    expect(tens.map { |each| each.problem.second }.uniq).to contain_exactly(10, 20, 30)
    expect(tens.first.move).to eq("skip")
  end

  it "does not ask again the last ten facts, or half of the band’s where that is fewer" do
    facts = asked(1, band: "to5").size
    everything = (0..5).to_a.combination(2).to_a + (0..2).map { |half| [half, half] }
    last = everything.select { |fact| fact.sum <= 5 }
    expect([last.size, facts]).to eq([12, 2])
    expect(asked(1, band: "to5", last: [[2, 3], *Array.new(5) { [0, 0] }]).size).to eq(1)
    expect(asked(1, band: "to5", last: [[2, 3], *Array.new(6) { [0, 0] }]).size).to eq(2)
  end

  describe "for a child" do
    def record(rung, fact, right: true, day: Date.new(2026, 11, 2))
      Rungs::Progress::Record.new(day: day, rung: rung, affords: [1, 2, 3, 4, 5], fact: fact, right: right,
                                  help: "alone")
    end

    def for_child(records, band: "bridge", operation: "add", **more)
      estimate = Rungs::Progress::Estimate.of(records, on: Date.new(2026, 11, 3))
      described_class.for_child(estimate, operation: operation, band: band, records: records, **more)
    end

    it "aims from where the child mostly works" do
      expect(for_child([record(3, [5, 9])] * 3).map(&:aim).uniq).to eq([4])
      expect(for_child([])).to eq([])
      expect(for_child([record(3, [5, 9])])).to eq([])
    end

    it "asks what tells most where it is not clear, two at most, with the two ways it would tell apart" do
      found = for_child([record(2, [5, 9]), record(4, [4, 9]), record(3, [3, 9])])
      expect(found.map { |each| [each.aim, each.move, each.telling] }).to eq([[nil, nil, true]] * 2)
      expect(found.map(&:why)).to all(match(/\ANot clear yet, and this would tell most: “.+” or “.+”\z/))
      expect(found.map { |each| each.problem.fact }.uniq & [[5, 9], [4, 9], [3, 9]]).to eq([])
      expect(found.map { |each| each.problem.band }.uniq).to eq(%w[bridge])
    end

    it "aims from the lower of the two commonest where several ways are used well" do
      mixed = [1, 2, 3, 2, 3, 5, 3, 2, 5, 5].map { |rung| record(rung, [5, 9]) }
      found = for_child(mixed)
      expect([found.first.aim, found.first.telling]).to eq([4, false])
      wrong = mixed.each_with_index.map { |each, at| at < 3 ? record(each.rung, each.fact, right: false) : each }
      expect(for_child(wrong).map(&:telling)).to eq([true, true])
    end

    it "asks the same in other ways where there is nothing to aim at, and by heart every second time" do
      known = Array.new(6) { record(4, [4, 8]) }
      by_heart, *others = for_child(known)
      expect(by_heart.why).to eq("Reasoned right 6 times: hear whether it comes at once.")
      expect([by_heart, *others].map { |each| each.problem.to_s }).to eq(["8 + 4 = □", "8 + 4 = □", "4 + □ = 12"])
      others = for_child(known.drop(1)).map { |each| each.problem.to_s }
      expect(others).to eq(["8 + 4 = □", "4 + □ = 12", "8 + 4 = □ + 5"])
      expect(for_child(known).map(&:why).join).not_to match(/widen|work/)
    end

    it "never asks by heart what was known, or was answered wrong since" do
      fact = lambda { |*last|
        [record(4, [4, 8]), record(3, [4, 8]), *last, *Array.new(6) do |at|
          record(5, [4, 9 - (at % 2)])
        end]
      }
      asked = ->(records) { for_child(records.first(8)).count { |each| each.why.start_with?("Reasoned") } }
      expect(asked.call(fact.call)).to eq(0)
      steady = lambda { |*last|
        [record(4, [5, 8]), record(4, [5, 8]), *last, *Array.new(8) do
          record(4, [6, 8], right: false)
        end]
      }
      expect(asked.call(steady.call.first(8))).to eq(1)
      expect(asked.call(steady.call(record(2, [5, 8], right: false)).first(8))).to eq(0)
    end
  end
end
