# frozen_string_literal: true

RSpec.describe Rungs::Strategy::Path do
  all = []
  before(:context) { all.concat(problems_to(20, situations: SmallNumbers::KINDS).flat_map { |problem| problem.paths.map { |path| [problem, path] } }) if all.empty? }

  after(:context) { all.clear }

  let(:paths) { all }
  let(:not_monotone) { %w[ten_minus give_to_ten] }

  it "ends at the answer, by every move, for every problem to 20" do
    wrong = paths.reject { |problem, path| path.answer == problem.answer }
    expect(wrong.map { |problem, path| "#{problem}: #{path.move.id} gives #{path.answer}" }).to be_empty
  end

  it "costs counts, recalls at one and a half, and splits" do
    expect(paths.reject { |_, path| (path.work - path.counts - (1.5 * path.recalls) - path.splits).abs < 1e-9 }).to be_empty
  end

  it "steps along the line in one direction" do
    wrong = paths.reject { |_, path| not_monotone.include?(path.move.id) || [path.landings, path.landings.reverse].include?(path.landings.sort) }
    expect(wrong.map { |problem, path| "#{problem}: #{path.move.id} #{path.landings}" }).to be_empty
  end

  it "counts by ones as often as it steps, where it counts on" do
    expect(paths.select { |_, path| path.rung == 2 && path.move.id != "skip" && path.landings.size - 1 != path.counts }).to be_empty
  end

  it "writes only equations that are true" do
    expect(paths.map { |_, path| path.equations.size }).to all(be_positive)
    written = paths.flat_map { |_, path| path.equations }.uniq
    expect(written.reject { |text| Rungs::Problem::Equation.parse(text).true? }).to be_empty
  end

  it "says something a child could say" do
    expect(paths.map { |_, path| path.says }.uniq.grep_v(/\A[A-Z].*\.\z/)).to be_empty
  end

  it "works beyond 20 too" do
    pairs_to(100).select { |pair| pair.sum > 20 }.sample(120, random: Random.new(4)).each do |pair|
      %i[whole second].each do |unknown|
        problem = Rungs::Problem.new(parts: pair, unknown: unknown)
        problem.paths.each { |path| expect(path.answer).to eq(problem.answer) }
      end
    end
  end

  it "goes up through ten as the field guide tells it" do
    path = problem("9 + 5 = ?").paths.find { |each| each.move.id == "up_through_ten" }
    expect(path.to_h).to eq(rung: "make_ten", move: "up_through_ten", counts: 0, recalls: 2, splits: 1, work: 4.0, landings: [9, 10, 14],
                            equations: ["9 + 5 = 9 + 1 + 4", "9 + 1 = 10", "10 + 4 = 14"], says: "Nine and one is ten, and four more is fourteen.")
  end

  it "applies the moves where the table says" do
    moves = ->(text) { problem(text).paths.map { |path| path.move.id } }
    expect(moves.call("9 + 5 = ?")).to eq(%w[all_objects on_first five_and up_through_ten give_to_ten recall])
    expect(moves.call("2 + 9 = ?")).to eq(%w[all_objects on_first on_larger up_through_ten give_to_ten recall])
    expect(moves.call("6 + 7 = ?")).to include("near_double", "five_and")
    expect(moves.call("6 + 8 = ?")).to include("share_even", "skip")
    expect(moves.call("30 + 40 = ?")).to include("tens_fact", "skip", "place_value")
    expect(moves.call("5 + ? = 14")).to include("all_build_up", "up_to", "family", "up_through_ten_to")
    expect(moves.call("12 - 6 = ?")).to include("double", "ten_minus", "back_through_ten")
    expect(moves.call("10 - 3 = ?")).to include("ten_partner")
    expect(moves.call("15 + 8 = ?")).not_to include("place_value")
    expect(Rungs::Problem.told("compare.difference.more", [9, 4]).paths.map { |path| path.move.id }).to include("all_match")
  end

  it "tells which rungs a problem affords" do
    expect(problem("3 + 4 = ?").affords).to eq([1, 2, 3, 5])
    expect(problem("9 + 5 = ?").affords).to eq([1, 2, 3, 4, 5])
    expect(problem("0 + 0 = ?").affords).to eq([1, 5])
    expect(problem("2 + 3 + 4 = ?").affords).to eq([1, 2, 5])
  end

  it "names rungs and off-ladder codes, and refuses others" do
    expect(Rungs::Strategy::Rung::ALL.ids).to eq(%w[count_all count_on part_whole make_ten known_fact])
    expect(Rungs::Strategy::OffLadder::ALL.ids).to eq(%w[guess no_answer unseen])
    expect { Rungs::Strategy::Rung.at(6) }.to raise_error(Rungs::Error::Unknown)
  end

  it "says whole numbers in words" do
    expect([0, 14, 20, 32, 100, 105].map { |number| Rungs::NumberWords.say(number) }).to eq(["zero", "fourteen", "twenty", "thirty-two", "a hundred", "a hundred and five"])
    expect(Rungs::NumberWords.open(14)).to eq("Fourteen")
  end
end
