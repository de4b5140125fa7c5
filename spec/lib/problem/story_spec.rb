# frozen_string_literal: true

RSpec.describe Rungs::Problem::Story do
  templates = Rungs::Problem::Template::ALL

  # Every pair of numbers to 20 (or three to 6 each) that a situation can tell.
  told_by = Hash.new do |all, situation|
    tuples = if situation.sizes == [3]
               [*0..6].product([*0..6],
                               [*0..6])
             else
               (0..20).flat_map do |first|
                 (0..20 - first).map do |second|
                   [
                     first, second
                   ]
                 end
               end
             end
    all[situation] = tuples.select do |parts|
      situation.tells?(parts)
    end.map { |parts| Rungs::Problem.new(situation: situation.id, parts: parts, unknown: situation.unknown) }
  end

  one = /(?<!and )\b1 (?:[a-z-]+ ){1,2}?(?:are|sit|hang|ride|wait|were|have)\b/
  many = /\b(?:[2-9]|\d\d+) (?:[a-z-]+ ){1,2}?(?:is|sits|hangs|rides|waits|was|has)\b/
  both = /(?:\A|[.] )\d+ [^.]*\band \d+ (?:[a-z-]+ ){1,2}?(?:is|sits|hangs|rides|waits|was)\b/

  # What is wrong with a text, in words; empty where nothing is.
  define_method(:faults) do |problem, text|
    all = []
    unless text.scan(/\d+/).map(&:to_i).sort == problem.story_numbers.select(&:positive?).sort
      all << "does not say #{problem.story_numbers} once each"
    end
    all << "says no zero" if problem.story_numbers.include?(0) && !text.match?(/\bno(ne)?\b/i)
    all << "asks not exactly one question" unless text.count("?") == 1 && text.end_with?("?", ".")
    if text.match?(/[{}|]|  |\b0\b|(?:\A|[.?] )[^A-Z0-9]/)
      all << "has a hole, two spaces, a bare zero or a sentence without its capital"
    end
    all << "mixes one and many" if text.match?(one) || text.match?(many) || text.match?(both)
    if text.match?(/no more/i) || (problem.answer.zero? && text.match?(/\b(some|rest)\b/i))
      all << "lets none come, or calls none some"
    end
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

  Rungs::Problem::Situation::ALL.each do |situation|
    it "draws 200 right stories of #{situation.id} in every band", :seeds do
      wrong = Rungs::Problem::Band::ALL.ids.flat_map do |band|
        problems = Rungs::Problem::Pool.new(situation: situation.id, band: band, zero: true).problems
        next [] if problems.empty?

        random = Random.new(11)
        seeds(200, few: 5).map { problems.sample(random: random) }.flat_map do |problem|
          story = described_class.write(problem, random: random)
          faults(problem, story.text) + (story.template.suits?(problem) ? [] : ["#{story.text}: too many or too few"])
        end
      end
      expect(wrong).to be_empty
    end
  end

  it "has at least six rhythms for each comparison" do
    rhythms = templates.select { |each| each.situation.compare? }.group_by { |each| each.situation.id }
    expect(rhythms.size).to eq(6)
    expect(rhythms.transform_values do |all|
      all.map do |each|
        each.wording.fill(told(each.situation, [4, 5]), %w[Ada Bo])
      end.uniq.size
    end.values).to all(be >= 6)
  end

  it "keeps amounts to what a thing can bear" do
    bears = lambda do |situation, numbers|
      problem = Rungs::Problem.from_story(situation, numbers)
      templates.select { |each| each.suits?(problem) }.map(&:context)
    end
    expect(bears["compare.smaller.more", [65, 3]]).not_to include("library")
    expect(bears["together.both", [69]]).not_to include("buttons")
    expect(bears["take_from.result", [92, 90]]).not_to include("apples")
    expect(bears["together.part", [2, 6]]).not_to include("bus")
    expect(bears["plan_for_it", [9]]).to be_empty
    expect(bears["plan_for_it", [4]]).to contain_exactly("apples", "bakery")
  end

  it "knows of which thing each part is" do
    expect(templates.fetch("shells/together.total/1").things.first(2)).to eq(["white shell", "pink shell"])
    expect(templates.fetch("buttons/together.part/1").things).to eq(["red button", "blue button"])
    expect(templates.fetch("tide_pool/together.three/1").things).to eq(%w[fish crab snail])
    expect(templates.map { |each| each.things.first }).to all(be_a(String))
  end

  it "has stories for every situation, in a dozen contexts, enough for a month" do
    expect(templates.map(&:situation).uniq).to match_array(Rungs::Problem::Situation::ALL.to_a)
    expect(templates.map(&:context).uniq.size).to be >= 12
    expect(templates.to_a.size).to be >= 60
    expect(templates.group_by(&:context).values.map { |all| all.map(&:situation).uniq.size }).to all(be >= 5)
    expect(templates.map do |template|
      template.wording.fill(Rungs::Problem.new(parts: [3, 2, 2], unknown: :whole),
                            %w[Ada Bo])
    end.uniq.size).to eq(templates.to_a.size)
  end

  it "says the words of comparing the right way round" do
    said = lambda do |id, numbers|
      problem = Rungs::Problem.from_story(id, numbers)
      templates.select do |each|
        each.suits?(problem)
      end.map { |each| described_class.new(problem, template: each, names: %w[Ada Bo]).text }
    end
    expect(said.call("compare.difference.more", [9, 4])).to all(match(/9 .*How many more .* than/))
    expect(said.call("compare.difference.fewer", [9, 4])).to all(match(/How many fewer .* than/))
    expect(said.call("compare.bigger.more", [4, 5])).to all(match(/4 .*5 more/))
    expect(said.call("compare.bigger.fewer", [4, 5])).to all(match(/4 .*5 fewer/))
    expect(said.call("compare.smaller.more", [9, 5])).to all(match(/9 .*5 more .*than/))
    expect(said.call("compare.smaller.fewer", [9, 5])).to all(match(/9 .*5 fewer/))
  end

  it "never has more of a thing than there can be" do
    ferries = Rungs::Problem.from_story("take_from.start", [15, 15])
    expect(templates.select { |template| template.suits?(ferries) }.map(&:context)).not_to include("boats", "kites")
  end

  it "checks the reading of words changed by hand" do
    reading = Rungs::Problem::Reading.new("Ada photographs 4 lighthouses. They shine.")
    expect(reading.hard_words).to eq(%w[photographs lighthouses shine])
    expect(reading).not_to be_easy
    expect(Rungs::Problem::Reading.new("one " * 15).longest_sentence).to eq(15)
  end

  it "writes 1 kite, 2 kites and no kites" do
    wording = Rungs::Problem::Wording.new("{first kite} {first: is|are} up. {second more}.", "kite" => "kites")
    texts = [[1, 2], [2, 1], [0, 0]].map do |parts|
      wording.fill(Rungs::Problem.new(parts: parts, unknown: :whole), %w[A B])
    end
    expect(texts).to eq(["1 kite is up. 2 more.", "2 kites are up. 1 more.", "No kites are up. No more."])
  end

  it "refuses a hole that means nothing" do
    expect { Rungs::Problem::Wording.new("{fist kite}", "kite" => "kites") }.to raise_error(Rungs::Error::Unreadable)
    expect { Rungs::Problem::Wording.new("{first dragon}", "kite" => "kites") }.to raise_error(Rungs::Error::Unreadable)
  end

  it "uses a story heard of late only when there is no other" do
    problem = Rungs::Problem.from_story("add_to.result", [2, 3])
    ids = templates.select { |template| template.suits?(problem) }.map(&:id)
    all_but_one = ids.drop(1)
    expect(described_class.write(problem, random: Random.new(1), except: all_but_one).template.id).to eq(ids.first)
    expect(ids).to include(described_class.write(problem, random: Random.new(1), except: ids).template.id)
  end

  it "never gives two people one name, and says so where no story has room" do
    problem = Rungs::Problem.from_story("together.total", [2, 3])
    50.times { |seed| expect(described_class.write(problem, random: Random.new(seed)).names.uniq.size).to eq(2) }
    expect do
      described_class.new(problem, template: templates.first, names: %w[Ada Ada])
    end.to raise_error(Rungs::Error::NotAProblem)
    expect do
      described_class.write(problem("50 + 50 = ?"),
                            random: Random.new(1))
    end.to raise_error(Rungs::Error::NotAProblem, /room/)
  end

  it "notices when words changed by hand no longer say the numbers" do
    problem = Rungs::Problem.from_story("take_from.result", [14, 5])
    expect(described_class.missing_numbers("14 boats. 5 leave. How many stay?", problem)).to be_empty
    expect(described_class.missing_numbers("14 boats. Some leave. How many stay?", problem)).to eq([5])
  end
end

RSpec.describe Rungs::Problem::Template do
  told = nil

  before { told ||= described_class::ALL.flat_map { |template| texts(template) } }

  # Every template with every pair to ten that suits it.
  def texts(template)
    sizes = template.situation.sizes.first
    numbers = sizes == 2 ? pairs_to(10) : [[2, 3, 4], [1, 1, 2]]
    told = numbers.select { |parts| template.situation.tells?(parts) }.map { |parts| told_of(template, parts) }
    told.select { |problem| template.well?(problem) }.map { |problem| [template.fill(problem, %w[Ada Bo]), problem] }
  end

  def told_of(template, parts)
    Rungs::Problem.new(situation: template.situation.id, parts: parts, unknown: template.situation.unknown)
  end

  it "says some only of two or more" do
    some = told.select { |text, problem| text.match?(/\bsome\b/i) && !problem.many_answers? }
    expect(some.map { |_, problem| problem.answer }).to all(be > 1)
  end

  it "says nothing of one more than many, of two hands that hold more than they can, or of seats that are full" do
    expect(told.map(&:first).grep(/1 (more|fewer) (red |blue |big |long )?\w+ than/)).to eq([])
    expect(told.map(&:first).grep(/two hands|full|eat \d+\./)).to eq([])
  end

  it "keeps to one time from its first word to its question, but for what was at first or yesterday" do
    mixed = told.map(&:first).uniq.select do |text|
      past = text.match?(/\b(were|was|had|gave|took|came|went|got|made|put in|did)\b/)
      now = text.match?(/\b(are|is|has|gives|takes|comes|goes|gets|sits|hangs|does|do)\b/)
      past && now && !text.include?("yesterday")
    end
    expect(mixed.first(3)).to eq([])
  end
end
