# frozen_string_literal: true

RSpec.describe Rungs::Progress::CheckIn do
  shown = { 0 => 0.70, -1 => 0.18, 1 => 0.09, -2 => 0.03 }

  # A made-up child: what is seen on a problem, from the rung it mostly uses.
  def see(shown, mostly, problem, random)
    possible = problem.affords.to_h do |rung|
      [rung, shown.fetch(rung - mostly, 0)]
    end.select { |_, chance| chance.positive? }
    return problem.affords.min_by { |rung| (rung - mostly).abs } if possible.empty?

    left = random.rand * possible.values.sum
    possible.find { |_, chance| (left -= chance) <= 0 }.first
  end

  def check_in(shown, random, operation: "add", band: nil, &mostly)
    check = described_class.start(operation: operation, band: band)
    while (choice = check.choose(random))
      check = check.hear(choice.problem, see(shown, yield(choice.problem.band), choice.problem, random))
    end
    check
  end

  tops = { "to5" => 3, "to10" => 3, "bridge" => 4 }
  truths = tops.flat_map { |band, top| (1..top).map { |rung| [band, rung] } }

  it "finds how it is worked out in a given band in at least 88 of 100 made-up children, in six at the median" do
    random = Random.new(5)
    [%w[add bridge], %w[subtract to10]].each do |operation, band|
      results = Array.new(100) do |index|
        rung = (index % tops.fetch(band)) + 1
        [rung, check_in(shown, random, operation: operation, band: band) { rung }]
      end
      expect(results.count { |rung, check| check.standing.rung == rung }).to be >= 88
      sizes = results.map { |_, check| check.answers.size }
      expect([sizes.sort[50], sizes.minmax]).to match([be <= 6, all(be_between(4, 10))])
    end
  end

  it "finds band and rung in at least 75 of 100 within ten, with the band open" do
    random, bands = Random.new(6), described_class::BANDS
    right = Array.new(100) { |index| truths[index % truths.size] }.count do |band, rung|
      check = check_in(shown, random) do |asked|
        next rung if asked == band

        bands.index(asked) < bands.index(band) ? 5 : 1
      end
      expect(check.answers.size).to be <= 10
      check.standing.to_a == [band, rung]
    end
    expect(right).to be >= 75
  end

  it "asks in any range that is given, and in that alone" do
    %w[add subtract].product(Rungs::Problem::Band::ALL.ids).each do |operation, band|
      asked = described_class.start(operation: operation, band: band).choose(Random.new(1)).problem
      expect([asked.operation, asked.band]).to eq([operation, band])
    end
  end

  it "finds band and rung of both operations in at least 60 of 100 within ten, with the operation open too" do
    random, bands = Random.new(4), described_class::BANDS
    results = Array.new(100) do |index|
      adding = index % truths.size
      truth = { "add" => truths[adding], "subtract" => truths[[adding - (index % 3 / 2), 0].max] }
      check = described_class.start(operation: "both")
      while (choice = check.choose(random))
        band, rung = truth.fetch(choice.problem.operation)
        asked = choice.problem.band
        mostly = asked == band ? rung : { -1 => 5, 1 => 1 }.fetch(bands.index(asked) <=> bands.index(band))
        check = check.hear(choice.problem, see(shown, mostly, choice.problem, random))
      end
      expect(check.answers.size).to be_between(4, 10)
      check.found.transform_values(&:to_a) == truth
    end
    expect(results.count(true)).to be >= 60
  end

  it "asks only what tells and is not known, and ends where the range is known" do
    facts = Rungs::Problem::Band::ALL.fetch("to10").telling_facts
    known = { "add" => facts.first(6).to_h { |fact| [fact, true] } }
    check = described_class.start(operation: "add", band: "to10", facts: known)
    random = Random.new(1)
    while (choice = check.choose(random))
      expect([choice.problem.tells?, known["add"].key?(choice.problem.fact)]).to eq([true, false])
      check = check.hear(choice.problem, 5)
    end
    expect([check.known?, check.clear?, check.answers.size]).to eq([true, true, 2])
    expect(check.summary).to eq("Knows the facts, to 10. Knows 8 of 8 facts heard there.")
    wrong = described_class.start(operation: "add", band: "to10", facts: known).hear(problem("4 + 6 = ?"), 5,
                                                                                     right: false)
    expect([wrong.knowing.heard, wrong.knowing.known]).to eq([7, 6])
  end

  it "names the evidence of both operations" do
    check = described_class.start(operation: "both", band: "to5")
    random = Random.new(2)
    while (choice = check.choose(random))
      check = check.hear(choice.problem, 1)
    end
    expect(check.summary).to match(/Adding: works mostly by counting all.*Taking away: works mostly by counting all/)
    expect(check.answers.map { |answer| answer.problem.operation }.uniq.size).to eq(2)
  end

  it "of both operations may be clear after as few problems as one of them" do
    least = Array.new(20) do |seed|
      random, check = Random.new(seed), described_class.start(operation: "both", band: "to5")
      while (choice = check.choose(random))
        check = check.hear(choice.problem, 1)
      end
      check.answers.size
    end
    expect(least.min).to eq(described_class::LEAST)
  end

  it "does not ask a child who counts all to 5 what 8 and 7 is" do
    random = Random.new(7)
    20.times do
      expect(check_in(shown, random) do
        1
      end.answers.drop(2).map { |answer| answer.problem.band }).not_to include("bridge")
    end
  end

  it "never asks the same twice, says why it asks, and names its evidence" do
    check = described_class.start(operation: "add", band: "bridge")
    random = Random.new(8)
    reasons = []
    while (choice = check.choose(random))
      reasons << choice.why
      check = check.hear(choice.problem, 2)
    end
    expect(check.answers.map { |answer| answer.problem.parts }.uniq.size).to eq(check.answers.size)
    expect(reasons.first).to eq("A first look, through ten.")
    expect(reasons.drop(1)).to all(include("?"))
    expect(check.summary).to start_with("Works mostly by counting on, through ten: seen in 4 of 4 answers there, ")
  end

  it "passes over what is off the ladder, and stops where all was asked" do
    check = described_class.start(operation: "subtract", band: "to5")
    random = Random.new(9)
    while (choice = check.choose(random))
      check = check.hear(choice.problem, nil)
    end
    expect([check.answers.size, check.clear?]).to eq([8, false])
    expect(check.summary).to start_with("Not clear yet")
    expect { described_class.start(operation: "divide") }.to raise_error(Rungs::Error::Unknown)
  end
end
