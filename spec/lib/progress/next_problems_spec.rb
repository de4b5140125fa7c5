# frozen_string_literal: true

RSpec.describe Rungs::Progress::NextProblems do
  history = described_class::History

  def propose(working, band: "bridge", operation: "add", count: 50, asked: [], **more)
    described_class.propose(working: working, operation: operation, band: band, count: count, **more,
                            history: described_class::History.asked(asked))
  end

  def asked(...) = propose(...).map { |each| each.problem.to_s }

  it "proposes only what fits: of the range and operation, telling, not asked of late, each fact once, and its aim" do
    %w[add subtract].product(%w[to5 to10 tens teens bridge to20], [1, 2, 3]).each do |operation, band, working|
      proposals = propose(working, operation: operation, band: band, asked: [[2, 9], [11, 2]])
      proposals.each do |each|
        expect(each.aim).to be_between(working + 1, 4)
        expect([each.problem.operation, each.problem.band, each.problem.tells?]).to eq([operation, band, true])
        expect([each.problem.exact_fact] & [[2, 9], [11, 2]]).to eq([])
        expect(Rungs::Strategy::Path.by(each.problem, each.move).rung).to eq(each.aim)
        next if each.aim == 2 || band == "to5" || each.problem.whole == 10

        expect(Rungs::Strategy::Pull.new(each.problem).rung).to eq(each.aim)
      end
      expect(proposals.map { |each| each.problem.exact_fact }.uniq.size).to eq(proposals.size)
    end
  end

  it "aims from counting all at counting on, from there at parts, and where the range has none at ten, then at ten" do
    aims = { "to5" => [3, 3, nil, nil], "to10" => [2, 3, 4, nil], "teens" => [3, 3, nil, nil],
             "bridge" => [2, 4, 4, nil], "to20" => [2, 3, nil, nil], "tens" => [2, 3, nil, nil],
             "to100" => [2, 3, 4, nil] }
    found = aims.keys.to_h do |band|
      [band, (1..4).map { |working| described_class.aim(working, "add", band) }]
    end
    expect(found).to eq(aims)
    expect([nil, 5].map { |working| described_class.aim(working, "add", "to10") }).to eq([nil, nil])
  end

  it "has an order of its own in a kindergarten, and begins again with things where two of five were wrong" do
    aim = ->(working, **more) { described_class.aim(working, "add", "to10", year: "kindergarten", **more) }
    expect([aim[1], aim[3]]).to eq([3, 2])
    wrong = history.new([*["6 + 3", "4 + 5"].map { |text| heard(text, 1, right: false) }, heard("3 + 5", 1)])
    expect(aim[1, history: wrong]).to eq(1)
    expect(described_class.aim(1, "add", "to10", history: wrong)).to eq(2)
    expect(described_class.aim(1, "add", "to5", year: "kindergarten", history: wrong)).to eq(3)
  end

  it "lets two or three be put to four or more for counting on; taken from five or more, or left" do
    expect(propose(1, band: "to10").map { |each| each.problem.parts })
      .to all(satisfy { |a, b| a >= 4 && b.between?(2, 3) && b < a })
    taken = propose(1, band: "to10", operation: "subtract").map(&:problem)
    expect(taken).to all(satisfy { |each| each.whole >= 5 && each.parts.any? { |part| part.between?(2, 3) } })
    expect(taken.map(&:to_s)).to include("9 − 2 = □", "9 − 7 = □")
    expect(asked(1, band: "to10", count: 3)).to eq(["8 + 2 = □", "7 + 3 = □", "7 + 2 = □"])
    tens = propose(1, band: "tens")
    expect([tens.map { |each| each.problem.second }.uniq.sort, tens.first.move]).to eq([[20, 30], "skip"])
  end

  it "asks first what saves most, then what has a nine, the smaller whole and the larger first number" do
    expect(asked(3, count: 3)).to eq(["9 + 6 = □", "7 + 4 = □", "8 + 3 = □"])
    expect(asked(3, operation: "subtract", count: 2)).to eq(["12 − 9 = □", "12 − 3 = □"])
    expect(asked(3, count: 1, asked: [[6, 9]])).to eq(["9 + 4 = □"])
  end

  it "forgets what was asked more than ten problems ago, or half of the facts of the range where that is fewer" do
    expect(asked(3, count: 1, asked: [[6, 9], *Array.new(10) { [2, 3] }])).to eq(["9 + 6 = □"])
    expect(asked(1, band: "to5", asked: [[2, 3], [1, 4]]).size).to eq(0)
    expect(asked(1, band: "to5", asked: [[2, 3], [1, 4], [1, 3]]).size).to eq(1)
  end

  it "makes ten to ten with its partners, of which only the last two asked are left out" do
    expect(asked(3, band: "to10")).to contain_exactly("8 + 2 = □", "7 + 3 = □", "6 + 4 = □")
    expect(asked(3, band: "to10", asked: [[4, 6], [2, 8], [2, 3], [3, 7]])).to eq(["6 + 4 = □"])
  end

  it "has nothing to make once the partners were each last answered alone, right and not counted, in any form" do
    has = [heard("2 + 8", 3), heard("10 − 3", 5), heard("6 + ? = 10", 4)]
    sums, others = has.partition { |each| each.exact.sum == 10 }
    aim = ->(records) { described_class.aim(3, "add", "to10", history: history.new(records, others)) }
    expect([aim[sums], aim[[*sums, heard("8 + 2", 2, day: 1)]], aim[[]]]).to eq([nil, 4, 4])
    helped = [*sums, heard("2 + 8", 4, day: 1, help: "prompted")]
    expect(aim[helped]).to eq(4)
  end

  it "asks eights and sevens after two right nines, for who makes ten only with those" do
    nines = history.new([heard("9 + 4", 4), heard("9 + 6", 4)])
    after = lambda { |working, which|
      described_class.propose(working: working, operation: "add", band: "bridge", history: which)
    }
    expect(after[4, nines].map { |each| each.problem.parts.include?(9) }).to eq([false] * 3)
    expect(after[3, nines].map { |each| each.problem.parts.include?(9) }).to eq([false] * 3)
    expect(after[4, history.new([heard("9 + 4", 4), heard("8 + 5", 4)])]).to eq([])
  end

  it "leaves out what is known" do
    known = history.new([heard("9 + 6", 5), heard("7 + 4", 5), heard("7 + 4", 2, day: 1)])
    found = described_class.propose(working: 3, operation: "add", band: "bridge", history: known, count: 50)
    facts = found.map { |each| each.problem.exact_fact }
    expect([facts.include?([6, 9]), facts.include?([4, 7])]).to eq([false, false])
    later = history.new([*known.records, *Array.new(10) { |at| heard("5 + 4", 2, day: at + 2) }])
    expect(described_class.propose(working: 3, operation: "add", band: "bridge", history: later, count: 50)
      .map { |each| each.problem.exact_fact }).to include([4, 7]).and not_include([6, 9])
  end

  it "says which move is hoped for and every way the aim could sound, and nothing of work" do
    said = [1, 2, 3].flat_map { |working| propose(working).map(&:why) }
    expect(said).to all(match(/\A[A-Z].* would show here: .*\. Listen for “.*”\z/))
    expect(said.grep(/work|known/)).to be_empty
    expect(propose(3, count: 1).first.why).to include("“Ten and six is sixteen, and one less is fifteen.”",
                                                      "“Nine and one is ten, and five more is")
  end

  describe "for a child" do
    def for_child(records, band: "bridge", operation: "add", **more)
      place = { operation: operation, band: band }
      described_class.for_child(estimate_of(records, **place), history: described_class::History.new(records), **place,
                                                               **more)
    end

    let(:making_ten) { ["8 + 4", "9 + 5", "8 + 5", "7 + 6"] }

    it "aims from where the child mostly works, and asks nothing of whom not enough was heard" do
      expect(for_child(["9 + 5", "8 + 4", "7 + 5"].map { |text| heard(text, 3) }).map(&:aim).uniq).to eq([4])
      expect([for_child([]), for_child([heard("9 + 5", 3)])]).to eq([[], []])
    end

    it "asks what tells most where it is not clear, two at most, with the two ways it would tell apart" do
      torn = [heard("9 + 5", 2), heard("9 + 4", 4), heard("9 + 3", 3), heard("8 + 4", 2), heard("8 + 5", 4),
              heard("7 + 5", 3), heard("7 + 4", 1)]
      found = for_child(torn)
      expect(found.map { |each| [each.aim, each.move, each.telling] }).to eq([[nil, nil, true]] * 2)
      expect(found.map(&:why)).to all(match(/\ANot clear yet, and this would tell most: “.+” or “.+”\z/))
      expect(found.map { |each| each.problem.fact } & torn.map(&:fact)).to eq([])
      expect(found.map { |each| [each.problem.band, each.problem.tells?] }.uniq).to eq([["bridge", true]])
    end

    it "asks first, once, where a slip that came twice could come again" do
      counted = ["8 + 3", "9 + 4", "7 + 5"].map { |text| heard(text, 2) }
      slip = Rungs::Slip::ALL.find { |each| each.key == "whole.start_counted" }
      first, second = for_child(counted, slip: slip)
      expect([first.why, first.aim, second.aim]).to match([/came twice: it could come again here/, nil, 4])
      expect(slip.answers(first.problem)).not_to be_empty
      expect(for_child(counted, slip: slip).count { |each| each.why.include?("twice") }).to eq(1)
    end

    it "asks the same in other ways where there is nothing to aim at, and by heart every second time" do
      ten = making_ten.map { |text| heard(text, 4) } + [heard("8 + 4", 4, day: 1), heard("8 + 4", 4, day: 2)]
      by_heart, *others = for_child(ten)
      expect(by_heart.why).to eq("Reasoned right 3 times: hear whether it comes at once.")
      expect([by_heart, *others].map { |each| each.problem.to_s }).to eq(["8 + 4 = □", "8 + 4 = □", "4 + □ = 12"])
      expect(for_child(ten.drop(1)).map { |each| each.problem.to_s })
        .to eq(["8 + 4 = □", "4 + □ = 12", "8 + 4 = □ + 5"])
      expect(for_child(ten).map(&:why).join).not_to match(/widen|work/)
    end

    it "never asks by heart what is known, or was answered wrong since" do
      by_heart = lambda do |*last|
        records = [*making_ten.map { |text| heard(text, 4) }, heard("8 + 5", 4, day: 1), *last]
        records << heard("7 + 6", 4, day: 3) if records.size.odd?
        for_child(records).filter_map { |each| each.problem.fact if each.why.start_with?("Reasoned") }
      end
      expect(by_heart.call).to eq([[5, 8]])
      expect(by_heart.call(heard("8 + 5", 5, day: 2))).not_to include([5, 8])
      expect(by_heart.call(heard("8 + 5", 4, day: 2, right: false))).not_to include([5, 8])
    end

    it "goes on elsewhere for who knows the range" do
      facts = ["2 + 4", "2 + 5", "3 + 4", "2 + 6", "3 + 5", "2 + 7", "3 + 6", "4 + 5"]
      found = for_child(facts.map { |text| heard(text, 5) }, band: "to10")
      expect(found.map(&:aim).uniq).to eq([nil])
      expect(found.map(&:why)).to include("The same with a part missing.")
    end
  end
end
