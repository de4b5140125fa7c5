# frozen_string_literal: true

RSpec.describe Rungs::Problem::Story do
  templates = Rungs::Problem::Template::ALL

  # Every template with every pair of numbers to 20 that it suits.
  def each_story(template)
    situation = template.situation
    (0..20).to_a.product((0..20).to_a, situation.sizes == [3] ? (0..6).to_a : [nil]).each do |numbers|
      parts = numbers.compact
      next if parts.sum > 20 || !situation.tells?(parts)

      problem = Rungs::Problem.new(situation: situation.id, parts: parts, unknown: situation.unknown)
      yield problem, described_class.new(problem, template: template, names: %w[Hana Leif]).text if template.suits?(problem)
    end
  end

  templates.each do |template|
    it "tells #{template.id} rightly with every number to 20" do
      told = 0
      each_story(template) do |problem, text|
        told += 1
        expect(described_class.missing_numbers(text, problem)).to be_empty, "#{text} should say #{problem.told}"
        expect(text).to end_with("?").or end_with(".")
        expect(text.count("?")).to eq(1)
        expect(text).not_to match(/[{}|]|  |\b0\b/)
        expect(text.split(/(?<=[.?]) /)).to all(match(/\A[A-Z0-9]/))
      end
      expect(told).to be > 20
    end

    it "minds one and many in #{template.id}" do
      each_story(template) do |_, text|
        expect(text).not_to match(/(?<![\d ])\b1 [a-z]+ are\b|\b(?!1\b)\d+ [a-z]+ is\b|\bno [a-z]+s is\b/), text
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
    expect { described_class.write(Rungs::Problem.told("add_to.result", [50, 50]), random: Random.new(1)) }.to raise_error(Rungs::Error::NotAProblem, /room/)
  end

  it "notices when words changed by hand no longer say the numbers" do
    problem = Rungs::Problem.told("take_from.result", [14, 5])
    expect(described_class.missing_numbers("14 boats. 5 leave. How many stay?", problem)).to be_empty
    expect(described_class.missing_numbers("14 boats. Some leave. How many stay?", problem)).to eq([5])
  end
end
