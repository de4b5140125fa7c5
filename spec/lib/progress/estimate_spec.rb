# frozen_string_literal: true

RSpec.describe Rungs::Progress::Estimate do
  let(:start) { Date.new(2026, 10, 1) }

  def record(rung, day: 0, help: "alone", right: true, affords: [1, 2, 3, 4, 5], fact: [5, 9])
    Rungs::Progress::Record.new(day: start + day, rung: rung, affords: affords, fact: fact, right: right, help: help)
  end

  def estimate(records, day: records.map { |each| (each.day - start).to_i }.max)
    described_class.of(records, on: start + day)
  end

  it "follows the rule of the guide, worked by hand for one record" do
    # s = 1..5, heard 3: r − s = 2, 1, 0, −1, −2, each over the sum of the weights of r' = 1..5 for that s.
    weights = { -4 => 0.01, -3 => 0.01, -2 => 0.05, -1 => 0.20, 0 => 0.62, 1 => 0.11, 2 => 0.015, 3 => 0.005,
                4 => 0.005 }
    likely = (1..5).map { |s| weights[3 - s] / (1..5).sum { |r| weights[r - s] } }
    expected = likely.map { |each| each / likely.sum }
    Rungs::Progress::Filter.start.hear(record(3)).probabilities
                           .zip(expected) { |got, wanted| expect(got).to be_within(1e-12).of(wanted) }
  end

  it "drifts between records as the rule says, up u(1 − v) and down v" do
    surely = Rungs::Progress::Filter.new(probabilities: [0.0, 1.0, 0.0, 0.0, 0.0], day: start, heard: 1,
                                         rule: Rungs::Progress::Rule::DEFAULT)
    up, down = 1 - Math.exp(-7 / 70.0), 1 - Math.exp(-7 / 500.0)
    drifted = surely.send(:drift, 7)
    [down, 1 - down - (up * (1 - down)), up * (1 - down), 0, 0].zip(drifted) do |wanted, got|
      expect(got).to be_within(1e-12).of(wanted)
    end
  end

  it "keeps probabilities that add up to one through any history" do
    random = Random.new(5)
    100.times do
      day = 0
      records = Array.new(30) do
        record([nil, 1, 2, 3, 4, 5].sample(random: random), day: day += random.rand(6),
                                                            help: %w[alone prompted shown]
                                                                  .sample(random: random), affords: [1, 2, 3, 5])
      end
      expect(Rungs::Progress::Filter.through(records).probabilities.sum).to be_within(1e-9).of(1)
    end
  end

  it "hears nothing against making ten in a problem that does not afford it" do
    before = Rungs::Progress::Filter.through(Array.new(6) { |day| record(4, day: day) })
    not_afforded = before.hear(record(3, day: 6, affords: [1, 2, 3, 5]))
    afforded = before.hear(record(3, day: 6))
    expect(not_afforded.probabilities[3]).to be > afforded.probabilities[3]
  end

  it "lets help weigh less" do
    alone, prompted, shown = %w[alone prompted shown].map do |help|
      Rungs::Progress::Filter.start.hear(record(4,
                                                help: help)).probabilities[3]
    end
    expect([alone, prompted, shown]).to eq([alone, prompted, shown].sort.reverse)
  end

  it "passes over what is off the ladder, and says when not enough was heard" do
    expect(estimate([record(nil), record(nil, day: 1)]).working).to be_nil
    expect(estimate([record(2)]).working).to be_nil
    expect(estimate([record(2)]).reason).to eq("1 answer: count on, today; one more and a rung stands here.")
    expect(estimate([record(2)]).words).to have_attributes(works: nil, title: nil)
    expect(described_class.of([], on: start).reason).to eq("No rung heard here yet.")
  end

  it "finds the working rung, becomes unsure in silence and never moves by it" do
    records = Array.new(6) { |day| record(2, day: day) }
    fresh, silent, long_silent = [5, 65, 200].map { |day| estimate(records, day: day) }
    expect([fresh.working, silent.working]).to eq([2, 2])
    expect(silent.confidence).to be_within(1e-9).of(fresh.confidence / 2)
    expect(long_silent.working).to be_nil
    expect(long_silent.reason).to include("Not enough heard: 6 answers, the last 195 days ago")
  end

  it "leaves out what happened later" do
    records = Array.new(4) { |day| record(2, day: day) } + Array.new(4) { |day| record(5, day: 30 + day) }
    expect(estimate(records, day: 4).working).to eq(2)
    expect(estimate(records, day: 34).working).to eq(5)
  end

  it "takes the lower of two equally likely rungs" do
    even = Rungs::Progress::Filter.new(probabilities: [0.0, 0.4, 0.2, 0.4, 0.0], day: start, heard: 5,
                                       rule: Rungs::Progress::Rule::DEFAULT)
    expect(even.likeliest).to eq(2)
  end

  describe "secure" do
    let(:solid) { Array.new(6) { |index| record(3, day: index, fact: [index % 3, 9]) } }

    it "needs records alone, on different facts, on different days, mostly right" do
      expect(estimate(solid)).to be_secure
      expect(estimate(solid.map { |each| each.dup.tap { |copy| copy.help = "prompted" } })).not_to be_secure
      expect(estimate(solid.map { |each| each.dup.tap { |copy| copy.fact = [1, 9] } })).not_to be_secure
      expect(estimate(solid.map { |each| each.dup.tap { |copy| copy.day = start } })).not_to be_secure
      expect(estimate(solid.each_with_index.map do |each, index|
        each.dup.tap do |copy|
          copy.right = index > 1
        end
      end)).not_to be_secure
    end

    it "forgets what is older than six weeks, and says what is lacking" do
      old = estimate(solid + [record(3, day: 60, fact: [2, 9])], day: 60)
      expect(old).not_to be_secure
      expect(estimate(solid.map do |each|
        each.dup.tap do |copy|
          copy.fact = [1, 9]
        end
      end).reason).to include("To be secure: two on other facts.")
      expect(estimate(solid.first(5).map do |each|
        each.dup.tap do |copy|
          copy.help = "prompted" if each.day > start + 2
        end
      end).reason)
        .to include("To be secure: one more answer without help.")
      expect(estimate(solid).reason).to start_with("Clear. Part–whole in 6 of the last 6 answers")
        .and end_with("Secure: 6 answers without help in the last six weeks, 6 of them right.")
    end
  end

  it "sees an emerging rung only where it came alone, right and of late" do
    base = Array.new(6) { |day| record(2, day: day) }
    expect(estimate(base + [record(4, day: 6)]).emerging).to eq(4)
    expect(estimate(base + [record(4, day: 6, help: "prompted")]).emerging).to be_nil
    expect(estimate(base + [record(4, day: 6, right: false)]).emerging).to be_nil
    expect(estimate(base + [record(4, day: 6), *Array.new(6) { |day| record(2, day: 31 + day) }]).emerging).to be_nil
  end

  it "names what was heard where the likeliest rung was not" do
    to5 = [3, 5, 3, 5, 5].each_with_index.map do |rung, day|
      record(rung, day: day, affords: [1, 2, 3, 5], fact: [2, 3])
    end
    told = estimate(to5)
    expect(told).to have_attributes(working: 4, told: [3, 5], title: "part–whole / known",
                                    mostly?: false)
    expect(told.words.works).to eq("works now by part–whole, now by known facts")
    expect(told.reason).to eq("Not clear yet: known 3, part–whole 2 of the last 5, the last today; make ten " \
                              "could show in none of these.")
    expect(described_class.of([], on: start)).to have_attributes(told: [], title: nil)
  end

  it "says mostly only where half of the last seven were on that rung, or two more than on any other" do
    clear = estimate([2, 2, 2, 2, 3, 2, 1].each_with_index.map { |rung, day| record(rung, day: day) })
    expect(clear).to have_attributes(working: 2, mostly?: true, told: [2], title: "count on")
    expect(clear.words).to have_attributes(works: "works mostly by counting on")
    leads = estimate([4, 2, 2, 2, 3, 1, 5].each_with_index.map { |rung, day| record(rung, day: day) })
    expect([leads.working, leads.recent[2], leads.mostly?]).to eq([2, 3, true])
    mixed = estimate([2, 5, 2, 3, 5, 3, 2, 5].each_with_index.map { |rung, day| record(rung, day: day) })
    expect(mixed.mostly?).to be(false)
    expect(mixed.reason).to match(/\ANot clear yet: known 3, count on 2, part–whole 2 of the last 7, the last today/)
  end

  it "says that several ways are used where ten answers, most of them right, lie on two rungs or more" do
    rungs = [1, 2, 3, 2, 3, 5, 3, 2, 5, 5]
    told = lambda { |wrong, many = 10|
      estimate(rungs.last(many).each_with_index.map { |rung, day| record(rung, day: day, right: day >= wrong) })
    }
    expect(told.call(2)).to have_attributes(several?: true, mostly?: false, aim_from: 2, told: [2, 5])
    expect(told.call(2).reason).to start_with("Uses several ways, which is healthy: known 3, count on 2")
    expect(told.call(2).words.sureness).to eq("several ways")
    expect([told.call(3).several?, told.call(3).aim_from, told.call(0, 9).several?]).to eq([false, nil, false])
    expect(estimate(Array.new(10) { |day| record(2, day: day) })).to have_attributes(several?: false, aim_from: 2)
  end

  it "never names a rung that its own counts do not, through any history" do
    random = Random.new(3)
    300.times do
      told = estimate(Array.new(random.rand(2..16)) do |day|
        record(random.rand(1..5), day: day, right: random.rand < 0.9)
      end)
      next unless told.working

      best = told.recent.values.max
      expect(told.told.map { |rung| told.recent[rung] }.max).to eq(best)
      expect(told.told.size).to eq(1).or(eq(2))
      expect(told.recent[told.working]).to eq(best) if told.mostly?
    end
  end

  it "says nothing of a rung in words that was not heard, and no chance as a figure, through any history" do
    random = Random.new(8)
    200.times do
      records = Array.new(random.rand(1..14)) do |index|
        record(random.rand(1..5), day: index * random.rand(1..20), affords: [1, 2, 3, 5])
      end
      told = estimate(records.sort_by(&:day))
      expect(records.last(12).map(&:rung)).to include(*told.told) if told.working
      expect(told.reason).not_to match(/\d\.\d|%|in 100/)
    end
  end

  it "shows the repertoire and how steady it is, in counts" do
    told = estimate(Array.new(3) { |day| record(2, day: day) } + [record(4, day: 3)])
    expect(told).to have_attributes(repertoire: [0, 3, 0, 1, 0], steadiness: 0.75, commonest: [2, 3])
    expect(told.words).to have_attributes(repertoire: ["make ten 1", "count on 3"])
    expect(described_class.of([], on: start)).to have_attributes(steadiness: nil, commonest: nil)
  end
end

RSpec.describe Rungs::Progress::Rule do
  let(:rule) { described_class::DEFAULT }
  let(:rungs) { Rungs::Clip::Agreement::RUNGS }

  def shares(affords, ear)
    (1..5).map { |from| affords.map { |rung| rule.share(rung, from: from, affords: affords, ear: ear) } }
  end

  it "is not changed by a perfect ear, and shares what was heard with a neighbour for one that mixes them up" do
    perfect = Rungs::Clip::Confusions.new(rungs.map { |rung| [rung, rung] } * 20)
    [[1, 2, 3, 4, 5], [1, 2, 5], [1, 2, 3, 5]].each do |affords|
      plain = shares(affords, nil).flatten
      shares(affords, perfect).flatten.zip(plain) { |with, without| expect(with).to be_within(1e-12).of(without) }
    end
    mixing = Rungs::Clip::Confusions.new(([%w[make_ten part_whole]] * 30) + ([%w[make_ten make_ten]] * 30))
    heard, plain = [mixing, nil].map { |ear| rule.share(3, from: 4, affords: [1, 2, 3, 4, 5], ear: ear) }
    expect(heard).to be > plain
    expect(shares([1, 2, 3, 4, 5], mixing).map(&:sum)).to all(be_within(1e-9).of(1))
    weight = (rule.weight(-1) * mixing.chance(3, 3)) + (rule.weight(0) * mixing.chance(3, 4))
    expect(rule.heard_as(3, 4, mixing)).to be_within(1e-9).of(weight)
  end
end

RSpec.describe Rungs::Progress::Running do
  it "says of today and every later day what all records together say, for random histories" do
    20.times do |seed|
      random, day = Random.new(seed), Date.new(2026, 1, 5)
      records = Array.new(60) do
        day += [0, 0, 1, 3, 9].sample(random: random)
        rung = [nil, 1, 2, 3, 4, 5].sample(random: random)
        Rungs::Progress::Record.new(day: day, rung: rung, affords: [1, 2, 3, 4, 5].sample(3, random: random).sort,
                                    fact: [random.rand(9),
                                           9], right: random.rand < 0.8, help: %w[alone prompted shown]
                                                                               .sample(random: random))
      end
      running = described_class.through(records)
      [0, 1, 20, 41, 43, 200].each do |later|
        told, carried = Rungs::Progress::Estimate.of(records, on: day + later), running.estimate(on: day + later)
        asked = %i[working confidence secure? emerging repertoire steadiness reason]
        expect(asked.map { |name| carried.public_send(name) }).to eq(asked.map { |name| told.public_send(name) })
      end
      expect(running.recent.size).to be < records.size
    end
  end
end
