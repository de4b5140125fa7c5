# frozen_string_literal: true

RSpec.describe Rungs::Progress::Estimate do
  def all(rung, *texts, **more) = texts.each_with_index.map { |text, at| heard(text, rung, day: at, **more) }

  it "says what a second reading of the guide says, for random children in every range and both operations", :seeds do
    Rungs::Problem::Band::ALL.ids.product(%w[add subtract]).each do |band, operation|
      seeds(60, few: 6).each do |seed|
        random = Random.new(seed)
        records = any_records(random, random.rand(1..40), operation: operation, band: band)
        [0, 1, 30, 100].each do |later|
          day = (records.last.day - Heard::START).to_i + later
          told = estimate_of(records, band: band, operation: operation, day: day)
          again = ReadAgain.new(records, band: band, on: Heard::START + day)
          expect([told.working, told.works_out, told.knowing.heard, told.knowing.known])
            .to eq([again.working, again.works_out, *again.known])
          told.filter.probabilities.zip(again.probabilities) { |one, other| expect(one).to be_within(1e-9).of(other) }
          expect(told.confidence).to be_within(1e-9).of(again.confidence)
        end
      end
    end
  end

  it "hears how a child works it out past facts that are known long before: one counts all, one counts on" do
    easy = %w[7+1 1+9 8+1 6+1]
    counts_all = estimate_of(all(1, "6 + 3", "3 + 5", "4 + 5") + all(5, *easy))
    expect([counts_all.working, counts_all.knowing.known, counts_all.words.works])
      .to eq([1, 0, "works out mostly by counting all"])
    counts_on = estimate_of(all(2, "5 + 3", "6 + 3", "4 + 5", "3 + 5") + all(5, "7 + 1", "8 + 1"))
    expect([counts_on.working, counts_on.words.works]).to eq([2, "works out mostly by counting on"])
    doubles = estimate_of(all(5, "4 + 4", "3 + 3", "5 + 5") + all(1, "6 + 3", "3 + 5", "2 + 7"))
    expect([doubles.working, doubles.knowing.heard]).to eq([1, 3])
  end

  it "never says a rung that nobody heard alone, nor one from fewer than two, or from help" do
    helped = %w[9+4 8+5 7+6].map { |text| heard(text, 4, help: "prompted") }
    expect(estimate_of(helped, band: "bridge").working).to be_nil
    expect(estimate_of([heard("6 + 3", 2)]).working).to be_nil
    mixed = [heard("6 + 3", 1), heard("3 + 5", 3), *all(2, "4 + 5", "2 + 7", "2 + 6", help: "prompted")]
    expect(estimate_of(mixed).works_out).to eq(1).or eq(3)
  end

  it "weighs a make ten as parts where no problem goes through ten, and keeps its name" do
    told = estimate_of(all(4, "6 + 4", "7 + 3", "2 + 8"))
    expect([told.works_out, told.words.works]).to eq([3, "works out mostly by making ten"])
    expect(estimate_of(all(4, "9 + 4", "8 + 5", "7 + 6"), band: "bridge").works_out).to eq(4)
  end

  it "becomes unsure in silence, and never moves by it; a summer is no climb" do
    counted = all(1, "6 + 3", "3 + 5", "4 + 5", "2 + 7")
    told = [0, 20, 60, 85].map { |later| estimate_of(counted, day: 3 + later) }
    expect(told.map(&:works_out)).to eq([1, 1, 1, nil])
    expect(told.map(&:confidence)).to eq(told.map(&:confidence).sort.reverse)
    after = estimate_of([*counted, heard("5 + 3", 1, day: 73)])
    expect([after.works_out, after.confidence]).to match([1, be > 0.8])
    short, long = [21, 300].map { |gap| estimate_of([*counted, heard("5 + 3", 2, day: 3 + gap)]).filter.probabilities }
    expect(short).to eq(long)
  end

  it "hears a count all on any problem, and other ways on easy ones hardly" do
    on_doubles = estimate_of(all(1, "4 + 4", "5 + 5", "3 + 3"))
    expect([on_doubles.works_out, on_doubles.recent]).to eq([1, {}])
    easy = estimate_of(all(2, "7 + 1", "8 + 1", "9 + 1", "6 + 1"))
    expect([easy.works_out, easy.filter.probabilities.max]).to match([nil, be < 0.75])
  end

  describe "of what is known" do
    facts = ["2 + 4", "2 + 5", "3 + 4", "2 + 6", "3 + 5", "2 + 7", "3 + 6", "4 + 5", "2 + 8", "3 + 7", "4 + 6"]

    it "takes three quarters of eight facts heard, and not of seven, for the range" do
      knows = ->(known, heard) { estimate_of(all(5, *facts.first(known)) + all(3, *facts[known...heard])).knows? }
      expect([knows[6, 8], knows[5, 8], knows[7, 7], knows[8, 11], knows[9, 11]])
        .to eq([true, false, false, false, true])
      eight = estimate_of(all(5, *facts.first(8)) + all(1, *facts.last(3)))
      expect([eight.working, eight.words.works])
        .to eq([1, "works out mostly by counting all; knows 8 of 11 facts heard"])
    end

    it "unlearns by a wrong answer or a count, not by another way" do
      known = ->(*later) { estimate_of([heard("3 + 5", 5), *later]).knowing.known }
      expect([known[], known[heard("5 + 3", 3, day: 1)], known[heard("3 + 5", 2, day: 1)]]).to eq([1, 1, 0])
      expect([known[heard("3 + 5", 5, day: 1, right: false)], known[heard("3 + 5", 1, day: 1, help: "shown")]])
        .to eq([0, 1])
      again = [heard("3 + 5", 2, day: 1), heard("3 + 5", 5, day: 2)]
      expect([known[*again], known[heard("3 + 5", nil, day: 1, right: false)]]).to eq([1, 1])
    end

    it "has two facts of a whole where one goes, and p + □ with the taking away" do
      told = estimate_of([heard("9 − 4", 5), heard("9 − 5", 2), heard("4 + ? = 9", 5, day: 1)], operation: "subtract")
      expect([told.knowing.heard, told.knowing.known]).to eq([2, 1])
    end

    it "asks two and three of five, five of ten and some, and never says it of all to twenty or a hundred" do
      to5 = ->(*texts) { estimate_of(all(5, *texts), band: "to5").knows? }
      expect([to5["1 + 2", "1 + 3", "1 + 4"], to5["1 + 2", "1 + 3", "2 + 3"]]).to eq([false, true])
      teens = (2..6).map { |ones| "10 + #{ones}" }
      expect(estimate_of(all(5, *teens), band: "teens").knows?).to be(true)
      expect(estimate_of(all(5, *teens.first(4)), band: "teens").knows?).to be(false)
      many = (2..9).map { |ones| "11 + #{ones - 1}" }
      expect(estimate_of(all(5, *many), band: "to20").knows?).to be(false)
    end

    it "lets it go in silence, and what is worked out stands again where that is surer" do
      told = all(5, *facts) + [heard("3 + 5", 5, day: 30)]
      expect([estimate_of(told, day: 100).knows?, estimate_of(told, day: 150).knows?]).to eq([true, false])
    end

    it "says where facts are only counted, and what a family asks" do
      family = ->(name, *records) { estimate_of(records, band: "family:#{name}") }
      expect(family["double", *all(1, "4 + 4", "3 + 3", "5 + 5")].working).to be_nil
      expect(family["ten_partner", *all(5, "2 + 8", "3 + 7", "4 + 6")].knows?).to be(true)
      tops = %w[nine bridge near_double ten_partner].map do |name|
        Rungs::Progress::Scope.of("add", "family:#{name}").top
      end
      expect(tops).to eq([4, 4, 4, 3])
    end
  end

  it "is secure by four alone that tell, on three facts and two days, most right, and for ten one without nine" do
    secure = ->(*texts, rung: 4, **more) { estimate_of(all(rung, *texts, **more), band: "bridge").secure? }
    expect(secure["9 + 4", "9 + 5", "8 + 5", "9 + 3", "7 + 6"]).to be(true)
    nines = estimate_of(all(4, "9 + 4", "9 + 5", "9 + 3", "9 + 6", "9 + 2"), band: "bridge")
    expect([nines.secure?, nines.lacking, nines.reason]).to match([false, { other: 1 }, /one without a nine/])
    expect(secure["9 + 4", "8 + 5", "7 + 6"]).to be(false)
    expect(estimate_of(all(2, "6 + 3", "3 + 6", "6 + 3", "3 + 6", "5 + 4")).lacking).to eq({ facts: 1 })
    mixed = all(2, "6 + 3", "3 + 5", "4 + 5", "2 + 7") + all(2, "2 + 6", "3 + 4", right: false)
    expect(estimate_of(mixed).lacking).to eq({ right: 1 })
  end

  it "sees an emerging rung only where it came alone, right, of late and on a problem that tells" do
    emerging = lambda { |text, rung, day: 5, **more|
      estimate_of([*all(1, "6 + 3", "3 + 5", "4 + 5", "2 + 7", "6 + 2"), heard(text, rung, day: day, **more)]).emerging
    }
    expect([emerging["4 + 3", 3], emerging["4 + 3", 3, help: "prompted"], emerging["4 + 3", 3, right: false],
            emerging["4 + 4", 3], emerging["4 + 3", 5]]).to eq([3, nil, nil, nil, nil])
  end

  it "says mostly where half of the last seven that tell were so, or two more than any other" do
    mostly = lambda { |*rungs|
      texts = ["6 + 3", "3 + 5", "4 + 5", "2 + 7", "2 + 6", "3 + 4", "2 + 4", "3 + 6"]
      told = estimate_of(rungs.each_with_index.map { |rung, at| heard(texts[at], rung, day: at) })
      [told.works_out, told.mostly?, told.aim_from]
    }
    expect(mostly[2, 2, 2, 2]).to eq([2, true, 2])
    expect(mostly[1, 1, 1, 2, 2, 2]).to match([anything, true, anything])
    expect(mostly[1, 3, 2, 1, 3, 2, 3]).to match([anything, false, nil])
  end

  it "calls several ways healthy after ten answers, most right, where none of the two is counting all" do
    texts = ["6 + 3", "3 + 5", "4 + 5", "2 + 7", "2 + 6"] * 2
    told = lambda { |rungs, wrong: 0|
      estimate_of(rungs.each_with_index.map { |rung, at| heard(texts[at], rung, day: at, right: at >= wrong) })
    }
    mixed = [2, 2, 3, 2, 3, 1, 3, 2, 1, 3]
    healthy = told[mixed]
    expect([healthy.several?, healthy.aim_from, healthy.words.sureness]).to eq([true, 2, "several ways"])
    expect(healthy.reason).to start_with("Uses several ways, which is healthy: ")
    expect([told[mixed, wrong: 3], told[mixed.drop(1)], told[[1, 1, 2, 1, 2, 3, 2, 1, 3, 2]]].map(&:several?))
      .to eq([false] * 3)
    steady = told[[2, 2, 2, 3, 3, 3, 3, 3, 3, 3]]
    expect([steady.mostly?, steady.several?]).to eq([true, false])
  end

  it "says no more than what was heard, from two answers or from four weeks of silence" do
    two = estimate_of([heard("6 + 3", 2), heard("3 + 5", 2, day: 25)], day: 54)
    expect([two.working, two.reason]).to eq([2, "Heard twice, the last on 26 October: counting on."])
    helped = [heard("6 + 3", 2), heard("3 + 5", 2, help: "prompted"), heard("4 + 5", 2, day: 1)]
    long_ago = estimate_of(helped, day: 40)
    expect(long_ago.words.works).to eq("was heard 3 times, the last on 2 October: counting on, 1 with help")
    expect(estimate_of([heard("6 + 3", 2)]).reason).to eq("1 answer: count on, today; one more and a rung stands here.")
  end

  it "names in words only what was heard, no chance as a figure, through any history", :seeds do
    seeds(200, few: 40).each do |seed|
      random = Random.new(seed)
      records = any_records(random, random.rand(1..20), band: %w[to5 to10 bridge].sample(random: random))
      band = Rungs::Problem::Band.of(records.first.fact)
      told = estimate_of(records, band: band, day: 90)
      said = [told.title, told.reason, told.words.works, *told.words.repertoire].join(" ")
      expect(said).not_to match(/%|0\.\d|\bnil\b/)
      heard = records.filter_map(&:rung).uniq
      unheard = Rungs::Strategy::Rung::ALL.reject { |rung| heard.include?(rung.level) }
      expect(unheard.map(&:doing).select { |doing| said.include?(doing) }).to eq([])
    end
  end
end

RSpec.describe Rungs::Progress::Rule do
  let(:rule) { described_class::DEFAULT }
  let(:rungs) { Rungs::Clip::Agreement::RUNGS }

  def shares(top, ear)
    levels = (1..top)
    table = ear&.among(levels)
    levels.map { |from| levels.map { |rung| rule.share(rung, from: from, among: [*levels], ear: table) } }
  end

  it "is not changed by a perfect ear, and shares what was heard with a neighbour for one that mixes them up" do
    perfect = Rungs::Clip::Confusions.new(rungs.map { |rung| [rung, rung] } * 20)
    mixing = Rungs::Clip::Confusions.new(([%w[make_ten part_whole]] * 30) + ([%w[make_ten make_ten]] * 30) +
                                         ([%w[known_fact make_ten]] * 30))
    [3, 4].each do |top|
      shares(top, perfect).flatten.zip(shares(top, nil).flatten) do |one, other|
        expect(one).to be_within(1e-12).of(other)
      end
      expect(shares(top, mixing).map(&:sum)).to all(be_within(1e-9).of(1))
    end
    expect(shares(4, mixing)[3][2]).to be > shares(4, nil)[3][2]
    expect(mixing.among(1..4).map(&:sum)).to all(be_within(1e-12).of(1))
  end
end

RSpec.describe Rungs::Progress::Running do
  it "says of today and every later day what all records together say, carried on one by one", :seeds do
    seeds(40, few: 8).each do |seed|
      band = %w[to5 to10 bridge teens][seed % 4]
      records = any_records(Random.new(seed), 60, band: band)
      scope, facts = Rungs::Progress::Scope.of("add", band), {}
      running = records.reduce(described_class.start(scope)) do |before, record|
        before.hear(record, facts[record.exact]).tap do
          facts[record.exact] = Rungs::Progress::Knowing.after(facts[record.exact], record) if record.about_fact?
        end
      end
      last = records.reverse.find(&:on_ladder?).day
      [0, 1, 20, 41, 43, 200].each do |later|
        told, carried = estimate_of(records, band: band, day: (last - Heard::START).to_i + later),
running.estimate(on: last + later)
        asked = %i[working works_out confidence secure? emerging repertoire mostly? several? aim_from]
        expect(asked.map { |name| carried.public_send(name) }).to eq(asked.map { |name| told.public_send(name) })
      end
      expect(running.recent.size).to be < records.size
    end
  end
end
