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

  it "finds the rung in a given band in at least 90 of 100 made-up children, with a median of at most six problems" do
    random = Random.new(5)
    [%w[add bridge], %w[subtract to10]].each do |operation, band|
      results = Array.new(100) do |index|
        [(index % 5) + 1, check_in(shown, random, operation: operation, band: band) do
          (index % 5) + 1
        end]
      end
      expect(results.count { |rung, check| check.standing.rung == rung }).to be >= 90
      expect(results.map { |_, check| check.answers.size }.sort[50]).to be <= 6
      expect(results.map { |_, check| check.answers.size }).to all(be_between(6, 10))
    end
  end

  it "finds band and rung in at least 80 of 100 within ten, with the band open" do
    random = Random.new(6)
    bands = described_class::BANDS
    truths = { "to5" => [1, 2, 3], "to10" => [1, 2, 3, 4],
               "bridge" => [1, 2, 3, 4, 5] }.flat_map do |band, rungs|
      rungs.map do |rung|
        [band, rung]
      end
    end
    right = Array.new(100) { |index| truths[index % truths.size] }.count do |band, rung|
      check = check_in(shown, random) do |asked|
        if asked == band
          rung
        else
          (bands.index(asked) < bands.index(band) ? 5 : 1)
        end
      end
      expect(check.answers.size).to be <= 10
      check.standing.to_a == [band, rung]
    end
    expect(right).to be >= 80
  end

  it "finds band and rung of both operations in at least 80 of 100 within ten, with the operation open too" do
    random = Random.new(4)
    bands = described_class::BANDS
    truths = { "to5" => [1, 2, 3], "to10" => [1, 2, 3, 4],
               "bridge" => [1, 2, 3, 4, 5] }.flat_map do |band, rungs|
      rungs.map do |rung|
        [band, rung]
      end
    end
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
      expect(check.answers.size).to be_between(6, 10)
      check.found.transform_values(&:to_a) == truth
    end
    expect(results.count(true)).to be >= 80
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
    expect(check.summary).to start_with("Works mostly by counting on, through ten: seen in 6 of 6 answers there, ")
  end

  it "passes over what is off the ladder, and stops at ten all the same" do
    check = described_class.start(operation: "subtract", band: "to5")
    random = Random.new(9)
    while (choice = check.choose(random))
      check = check.hear(choice.problem, nil)
    end
    expect([check.answers.size, check.clear?]).to eq([10, false])
    expect(check.summary).to start_with("Not clear yet")
    expect { described_class.start(operation: "divide") }.to raise_error(Rungs::Error::Unknown)
  end
end
