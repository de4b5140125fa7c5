# frozen_string_literal: true

RSpec.describe Rungs::Problem::Story do
  templates = Rungs::Problem::Template::ALL

  # Every pair of numbers to 20 (or three to 6 each) that a situation can tell.
  told_by = Hash.new do |all, situation|
    tuples = situation.sizes == [3] ? [*0..6].product([*0..6], [*0..6]) : (0..20).flat_map { |first| (0..20 - first).map { |second| [first, second] } }
    all[situation] = tuples.select { |parts| situation.tells?(parts) }.map { |parts| Rungs::Problem.new(situation: situation.id, parts: parts, unknown: situation.unknown) }
  end

  # What is wrong with a text, in words; empty where nothing is.
  def faults(problem, text)
    all = []
    all << "does not say #{problem.told}" if described_class.missing_numbers(text, problem).any?
    all << "asks not exactly one question" unless text.count("?") == 1 && text.match?(/[?.]\z/)
    all << "has a hole, two spaces, a bare zero or a sentence without its capital" if text.match?(/[{}|]|  |\b0\b|(?:\A|[.?] )[^A-Z0-9]/)
    all << "mixes one and many" if text.match?(/(?<![\d ])\b1 [a-z]+ are\b|\b(?!1\b)\d+ [a-z]+ is\b|\bno [a-z]+s is\b/)
    all << "is hard to read" if problem.parts.max <= 2 && !Rungs::Problem::Reading.new(text).easy?
    all.map { |fault| "“#{text}” #{fault}" }
  end

  templates.each do |template|
    it "tells #{template.id} rightly with every number to 20" do
      told = 0
      wrong = []
      told_by[template.situation].select { |problem| template.suits?(problem) }.each do |problem|
        told += 1
        wrong.concat(faults(problem, described_class.new(problem, template: template, names: %w[Hana Leif]).text))
      end
      expect(wrong).to be_empty
      expect(told).to be >= 6
    end
  end

  it "has stories for every situation, in a dozen contexts, enough for a month" do
    expect(templates.map(&:situation).uniq).to match_array(Rungs::Problem::Situation::ALL.to_a)
    expect(templates.map(&:context).uniq.size).to be >= 12
    expect(templates.to_a.size).to be >= 60
    expect(templates.group_by(&:context).values.map { |all| all.map(&:situation).uniq.size }).to all(be >= 5)
    expect(templates.map { |template| template.wording.fill(Rungs::Problem.new(parts: [3, 2, 2], unknown: :whole), %w[Ada Bo]) }.uniq.size).to eq(templates.to_a.size)
  end

  it "says the words of comparing the right way round" do
    said = ->(id, numbers) { templates.select { |each| each.situation.id == id }.map { |each| described_class.new(Rungs::Problem.told(id, numbers), template: each, names: %w[Ada Bo]).text } }
    expect(said.call("compare.difference.more", [9, 4])).to all(match(/How many more .* than/))
    expect(said.call("compare.difference.fewer", [9, 4])).to all(match(/How many fewer .* than/))
    expect(said.call("compare.bigger.more", [4, 5])).to all(match(/Bo .* 4 .*Ada .* 5 more than Bo.*does Ada/))
    expect(said.call("compare.bigger.fewer", [4, 5])).to all(match(/Bo .* 4 .*Bo .* 5 fewer than Ada.*does Ada/))
    expect(said.call("compare.smaller.more", [9, 5])).to all(match(/9 .*5 more than/))
    expect(said.call("compare.smaller.fewer", [9, 5])).to all(match(/Ada .* 9 .*Bo .* 5 fewer than Ada.*does Bo/))
  end

  it "never has more of a thing than there can be" do
    ferries = Rungs::Problem.told("take_from.start", [15, 15])
    expect(templates.select { |template| template.suits?(ferries) }.map(&:context)).not_to include("boats", "kites")
  end

  it "checks the reading of words changed by hand" do
    reading = Rungs::Problem::Reading.new("Ada photographs 4 lighthouses. They shine.")
    expect(reading.hard_words).to eq(%w[photographs lighthouses shine])
    expect(reading).not_to be_easy
    expect(Rungs::Problem::Reading.new("one " * 15).longest_sentence).to eq(15)
  end

  it "carries an easier, a middle and a harder pair" do
    random = Random.new(2)
    Rungs::Problem::Situation::ALL.reject(&:open).each do |situation|
      %w[to10 bridge].each do |band|
        middle = Rungs::Problem::Pool.new(situation: situation.id, band: band).draw(1, random: random).first
        sets = Rungs::Problem::NumberSets.for(middle, random: random)
        order = sets.values.map { |each| [Rungs::Problem::Band::ALL.ids.index(each.band), each.whole] }
        expect(sets.values.map(&:band).uniq.size).to eq(3).or(satisfy { order == order.sort.uniq })
        expect(sets.values.map(&:situation).uniq).to eq([situation])
      end
    end
  end

  it "writes 1 kite, 2 kites and no kites" do
    wording = Rungs::Problem::Wording.new("{first kite} {first: is|are} up. {second more}.", "kite" => "kites")
    texts = [[1, 2], [2, 1], [0, 0]].map { |parts| wording.fill(Rungs::Problem.new(parts: parts, unknown: :whole), %w[A B]) }
    expect(texts).to eq(["1 kite is up. 2 more.", "2 kites are up. 1 more.", "No kites are up. No more."])
  end

  it "refuses a hole that means nothing" do
    expect { Rungs::Problem::Wording.new("{fist kite}", "kite" => "kites") }.to raise_error(Rungs::Error::Unreadable)
    expect { Rungs::Problem::Wording.new("{first dragon}", "kite" => "kites") }.to raise_error(Rungs::Error::Unreadable)
  end

  it "uses a story heard of late only when there is no other" do
    problem = Rungs::Problem.told("add_to.result", [2, 3])
    ids = templates.select { |template| template.suits?(problem) }.map(&:id)
    all_but_one = ids.drop(1)
    expect(described_class.write(problem, random: Random.new(1), except: all_but_one).template.id).to eq(ids.first)
    expect(ids).to include(described_class.write(problem, random: Random.new(1), except: ids).template.id)
  end

  it "never gives two people one name, and says so where no story has room" do
    problem = Rungs::Problem.told("together.total", [2, 3])
    50.times { |seed| expect(described_class.write(problem, random: Random.new(seed)).names.uniq.size).to eq(2) }
    expect { described_class.new(problem, template: templates.first, names: %w[Ada Ada]) }.to raise_error(Rungs::Error::NotAProblem)
    expect { described_class.write(problem("50 + 50 = ?"), random: Random.new(1)) }.to raise_error(Rungs::Error::NotAProblem, /room/)
  end

  it "notices when words changed by hand no longer say the numbers" do
    problem = Rungs::Problem.told("take_from.result", [14, 5])
    expect(described_class.missing_numbers("14 boats. 5 leave. How many stay?", problem)).to be_empty
    expect(described_class.missing_numbers("14 boats. Some leave. How many stay?", problem)).to eq([5])
  end
end
