# frozen_string_literal: true

RSpec.describe Rungs::Problem do
  it "finds the answer, the operation and the fact of every story problem to 20" do
    problems_to(20).each do |problem|
      expected = { whole: problem.parts.sum, first: problem.parts[0], second: problem.parts[1], both: problem.parts[1] }
      expect(problem.answer).to eq(expected.fetch(problem.unknown))
      expect(problem.operation).to eq(problem.unknown == :whole ? "add" : "subtract")
      expect(problem.given + problem.sought).to eq(problem.whole)
    end
  end

  it "is told again by the numbers its situation gives" do
    problems_to(12).reject { |problem| problem.unknown == :both }.each do |problem|
      expect(described_class.from_story(problem.situation.id, problem.story_numbers)).to eq(problem)
    end
  end

  it "refuses numbers that make no problem, with a reason" do
    expect do
      described_class.from_story("take_from.result", [5, 9])
    end.to raise_error(Rungs::Error::NotAProblem, /5 is less than 9/)
    expect do
      described_class.from_story("add_to.result", [60, 60])
    end.to raise_error(Rungs::Error::NotAProblem, /more than 100/)
    expect do
      described_class.from_story("compare.difference.more", [5, 5])
    end.to raise_error(Rungs::Error::NotAProblem, /no difference/)
    expect { described_class.new(parts: [-1, 3], unknown: :whole) }.to raise_error(Rungs::Error::NotAProblem)
    expect { described_class.new(parts: [1, 2], unknown: :third) }.to raise_error(Rungs::Error::NotAProblem)
    expect { described_class.new(parts: [1, 2, 3], unknown: :first) }.to raise_error(Rungs::Error::NotAProblem)
    expect do
      described_class.new(situation: "magic", parts: [1, 2],
                          unknown: :whole)
    end.to raise_error(Rungs::Error::Unknown, /no situation “magic”/)
  end

  it "is equal to another with the same situation and numbers" do
    one = described_class.new(situation: "add_to.result", parts: [9, 5], unknown: :whole)
    expect(one).to eq(described_class.from_story("add_to.result", [9, 5]))
    expect([one, described_class.from_story("add_to.result", [5, 9])].uniq.size).to eq(2)
  end

  describe Rungs::Problem::Band do
    it "is a partition of all wholes to 100: the first that fits, and always one" do
      pairs_to(100).each do |pair|
        fitting = described_class::ALL.select { |band| band.fits?(pair) }
        expect(described_class.of(pair)).to eq(fitting.first.id)
      end
      expect(described_class::ALL.sum { |band| band.pairs.size }).to eq(pairs_to(100).size)
    end

    it "knows the bands by their numbers" do
      expect([[2, 3], [4, 6], [20, 30], [10, 4], [9, 5], [11, 3], [23, 14]].map { |pair| described_class.of(pair) })
        .to eq(%w[to5 to10 tens teens bridge to20 to100])
      expect { described_class.of([60, 60]) }.to raise_error(Rungs::Error::NotAProblem)
    end

    it "knows the rungs that its problems afford" do
      described_class::ALL.each do |band|
        problems = band.pairs.flat_map do |pair|
          %w[add_to.result take_from.result].map do |situation|
            Rungs::Problem.new(situation: situation, parts: pair,
                               unknown: situation == "add_to.result" ? :whole : :second)
          end
        end
        expect(problems.flat_map(&:affords).uniq.sort).to eq(band.rungs)
      end
    end
  end

  describe Rungs::Problem::Family do
    it "puts a fact into every family it belongs to, whichever way round" do
      expect(described_class.of([9, 5])).to eq(%w[nine bridge])
      expect(described_class.of([5, 5])).to eq(%w[double ten_partner five_and])
      expect(described_class.of([0, 0])).to eq(%w[zero double])
      expect(described_class.of([1, 2])).to eq(%w[one])
      expect(described_class.of([10, 7])).to eq(%w[ten_and])
      pairs_to(20).each { |pair| expect(described_class.of(pair)).to eq(described_class.of(pair.reverse)) }
    end
  end

  describe Rungs::Problem::Pool do
    it "draws every problem there is, each once, in its band, and refuses one more" do
      random = Random.new(1)
      %w[add_to.result take_from.result together.total].product(%w[to5 to10 teens bridge]).each do |situation, band|
        pool = described_class.new(situation: situation, band: band)
        drawn = pool.draw(pool.count, random: random)
        expect(drawn.map { |problem| pool.key(problem) }.uniq.size).to eq(pool.count)
        expect(drawn.map(&:band).uniq).to eq([band])
        expect(drawn.flat_map(&:parts)).to all(be_positive)
        expect do
          pool.draw(pool.count + 1, random: random)
        end.to raise_error(Rungs::Error::TooMany, /#{pool.count} in all/)
      end
    end

    it "counts a sum once whichever way round, unless turning round is the point" do
      expect(described_class.new(situation: "add_to.result", band: "to5").count).to eq(6)
      expect(described_class.new(situation: "add_to.result", band: "to5", turned: true).count).to eq(10)
      expect(described_class.new(situation: "add_to.result", band: "to5", family: "double").count).to eq(2)
    end

    it "brings zero only when asked" do
      zeros = described_class.new(situation: "take_from.result", band: "to5", family: "zero").problems
      expect(zeros.map(&:parts)).to all(include(0))
      expect(zeros).not_to be_empty
    end

    it "gives the same set for the same seed, leaves out what was posed, and says how many are left" do
      pool = described_class.new(situation: "add_to.result", band: "to5")
      expect(pool.draw(4, random: Random.new(7))).to eq(pool.draw(4, random: Random.new(7)))
      posed = pool.draw(5, random: Random.new(2))
      last = pool.draw(1, random: Random.new(3), except: posed)
      expect(posed.map { |each| pool.key(each) }).not_to include(pool.key(last.first))
      expect do
        pool.draw(1, random: Random.new(3), except: posed + last)
      end.to raise_error(Rungs::Error::TooMany, /0 left/)
    end

    it "lets no problem be given away by the one before it where another can stand between" do
      pool = described_class.new(situation: "take_from.result", band: "bridge")
      20.times do |seed|
        drawn = pool.draw(12, random: Random.new(seed))
        expect(drawn.each_cons(2).select { |one, next_one| one.fact == next_one.fact }).to be_empty
      end
    end
  end
end
