# frozen_string_literal: true

RSpec.describe Rungs::Strategy::Path do
  all = []
  before(:context) do
    problems = problems_to(20, situations: SmallNumbers::KINDS) + some_to_100(400)
    all.concat(problems.flat_map { |problem| problem.paths.map { |path| [problem, path] } }) if all.empty?
  end

  after(:context) { all.clear }

  let(:paths) { all }
  # Moves that go past the answer and come back, or look at parts of the numbers.
  let(:there_and_back) { %w[ten_minus nine_as_ten double_less_one place_value_apart] }

  def moves(text) = problem(text).paths.map { |path| path.move.id }
  def path(text, move) = described_class.by(problem(text), move)

  it "ends at the answer, by every move" do
    wrong = paths.reject { |problem, path| path.answer == problem.answer }
    expect(wrong.map { |problem, path| "#{problem}: #{path.move.id} gives #{path.answer}" }).to be_empty
  end

  it "steps along the line in one direction" do
    straight = paths.reject { |_, path| there_and_back.include?(path.move.id) }
    wrong = straight.reject { |_, path| [path.landings, path.landings.reverse].include?(path.landings.sort) }
    expect(wrong.map { |problem, path| "#{problem}: #{path.move.id} #{path.landings}" }).to be_empty
  end

  it "steps as often as it counts, where it counts on" do
    counted = paths.select { |_, path| path.rung == 2 }
    expect(counted.reject { |_, path| path.landings.size - 1 == path.counts }).to be_empty
  end

  it "writes only equations that are true, with one equals sign each" do
    written = paths.flat_map { |_, path| path.equations }.uniq
    expect(written.reject { |text| text.count("=") == 1 && Rungs::Problem::Equation.parse(text).true? }).to be_empty
    expect(paths.map { |_, path| path.equations.size }).to all(be_positive)
  end

  it "says something a child could say" do
    expect(paths.map { |_, path| path.says }.uniq.grep_v(/\A[A-Z].*\.\z/)).to be_empty
    expect(paths.map { |_, path| path.says }.uniq.grep(/  |\.\.|\d/)).to be_empty
  end

  it "is acted out with what is there: nobody takes more than there is, and what is broken is put together again" do
    wrong = paths.reject do |_, path|
      broken = path.acting.broken
      path.scenes.all? { |scene| scene.taken.between?(0, scene.total) && scene.settled.min >= 0 } &&
        (broken.nil? || broken[1].all?(&:positive?))
    end
    expect(wrong.map { |problem, path| "#{problem}: #{path.move.id}" }).to be_empty
  end

  it "goes up through ten as the guide tells it" do
    expect(path("9 + 5 = ?", "up_through_ten").to_h)
      .to eq(rung: "make_ten", move: "up_through_ten", counts: 0, recalls: 2, recalled: %w[partner ten_and], splits: 1,
             turns: 0,
             work: 2.5, landings: [9, 10, 14], equations: ["9 + 5 = 9 + 1 + 4", "9 + 1 = 10", "10 + 4 = 14"],
             says: "Nine and one is ten, and four more is fourteen.")
  end

  it "costs what is counted, split, turned and recalled, each recall by its kind" do
    work = { "9 + 5 = ?" => { "up_through_ten" => 2.5, "nine_as_ten" => 1.5, "five_and" => 2.5, "on_first" => 5,
                              "recall" => 1.5 },
             "6 + 8 = ?" => { "share_even" => 3, "skip" => 3, "five_and" => 5 },
             "6 + 7 = ?" => { "near_double" => 2, "double_less_one" => 2 },
             "13 - 9 = ?" => { "nine_as_ten" => 1.5, "family" => 3, "up_to" => 4, "back_from" => 9,
                               "ten_minus" => 2.5 },
             "38 + 27 = ?" => { "place_value" => 5.5 }, "20 + 5 = ?" => { "place_value" => 0.5 },
             "12 + 3 = ?" => { "place_value" => 3 }, "28 - 15 = ?" => { "place_value_apart" => 5.5 },
             "27 + 5 = ?" => { "next_ten" => 2.5 }, "42 - 5 = ?" => { "back_to_ten" => 2.5 },
             "10 + 4 = ?" => { "ten_and" => 0.5 }, "5 + 3 = ?" => { "five_some" => 1 },
             "30 + 40 = ?" => { "tens_fact" => 1.5 },
             "8 + 6 + 2 = ?" => { "ten_pair" => 1.5 }, "4 + 4 + 5 = ?" => { "double_first" => 2.5 },
             "8 + 4 = ? + 5" => { "same_across" => 2 }, "70 - 30 = ?" => { "skip_back" => 3, "skip_up" => 4 } }
    found = work.to_h { |text, wanted| [text, wanted.to_h { |move, _| [move, path(text, move).work] }] }
    expect(found).to eq(work)
  end

  it "applies the moves where the table says" do
    expect(moves("9 + 5 = ?")).to eq(%w[all_objects on_first five_and up_through_ten give_to_ten nine_as_ten recall])
    expect(moves("2 + 9 = ?")).to eq(%w[all_objects on_first on_larger up_through_ten give_to_ten recall])
    expect(moves("5 + 0 = ?")).to eq(%w[all_objects on_first recall])
    expect(moves("5 + 3 = ?")).to include("five_some")
    expect(moves("8 - 5 = ?")).to include("five_some", "family")
    expect(moves("30 + 40 = ?")).to include("tens_fact", "skip").and(not_include("place_value"))
    expect(moves("10 + 10 = ?")).to not_include("skip")
    expect(moves("12 + 8 = ?")).to include("place_value").and(not_include("next_ten"))
    expect(moves("5 + ? = 14")).to include("all_build_up", "up_to", "family", "up_through_ten_to")
    expect(moves("12 - 6 = ?")).to include("double", "ten_minus", "back_through_ten")
    expect(moves("10 - 3 = ?")).to include("ten_partner")
    expect(moves("15 + 8 = ?")).to include("place_value", "next_ten")
    expect(moves("25 - 17 = ?")).to not_include("place_value_apart")
    expect(moves("12 - 9 = ?")).to include("nine_as_ten")
    expect(moves("11 - 9 = ?")).to not_include("nine_as_ten")
    expect(Rungs::Problem.from_story("compare.difference.more", [9, 4]).paths.map do |path|
      path.move.id
    end).to include("all_match")
  end

  it "puts back what was taken from an unknown whole" do
    sums = problem("? - 5 = 7").paths.flat_map(&:equations)
    expect(sums).to include("7 + 5 = 12").and(not_include("12 − 5 = 7"))
    expect(path("? - 5 = 7", "on_first").says).to start_with("Seven … eight")
  end

  it "works both sides sums by the moves of the sum followed by those of the missing part" do
    ways = problem("8 + 4 = ? + 5").paths
    expect(ways.map(&:answer).uniq).to eq([7])
    expect(ways.map do |path|
      path.move.id
    end).to include("on_first", "up_through_ten", "up_to", "family", "same_across", "recall")
    expect(path("8 + 4 = ? + 5",
                "up_through_ten").equations.first(3)).to eq(["8 + 4 = 8 + 2 + 2", "8 + 2 = 10", "10 + 2 = 12"])
    expect(path("8 + 4 = ? + 5", "same_across").equations).to eq(["8 + 4 = 7 + 5"])
    expect(moves("8 + 4 = ? + 9")).to include("same_across")
    expect(moves("9 + 4 = ? + 6")).to include("same_across")
    expect(moves("9 + 2 = ? + 5")).to not_include("same_across")
  end

  it "tells which rungs a problem affords" do
    expect(problem("3 + 4 = ?").affords).to eq([1, 2, 3, 5])
    expect(problem("9 + 5 = ?").affords).to eq([1, 2, 3, 4, 5])
    expect(problem("0 + 0 = ?").affords).to eq([1, 2, 5])
    expect(problem("2 + 3 + 4 = ?").affords).to eq([1, 2, 5])
    expect(problem("2 + 3 + 8 = ?").affords).to eq([1, 2, 4, 5])
  end

  it "names rungs and off-ladder codes, and refuses others" do
    expect(Rungs::Strategy::Rung::ALL.ids).to eq(%w[count_all count_on part_whole make_ten known_fact])
    expect(Rungs::Strategy::OffLadder::ALL.ids).to eq(%w[guess no_answer unseen])
    expect { Rungs::Strategy::Rung.at(6) }.to raise_error(Rungs::Error::Unknown)
  end

  it "says whole numbers in words" do
    said = [0, 14, 20, 32, 100, 105].map { |number| Rungs::NumberWords.say(number) }
    expect(said).to eq(["zero", "fourteen", "twenty", "thirty-two", "a hundred", "a hundred and five"])
    expect(Rungs::NumberWords.open(14)).to eq("Fourteen")
  end
end
