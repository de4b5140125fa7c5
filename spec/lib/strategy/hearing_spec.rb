# frozen_string_literal: true

RSpec.describe Rungs::Strategy::Hearing do
  def hear(text, numbers, seconds: nil) = Rungs::Slip.heard(problem(text), numbers, seconds: seconds)
  def best(...) = hear(...).first.then { |candidate| [candidate.move, candidate.slip, candidate.answer] }

  let(:facts) do
    pairs_to(20).flat_map do |p, q|
      [problem("#{p} + #{q} = ?"), problem("#{p + q} - #{p} = ?"), problem("#{p} + ? = #{p + q}")]
    end
  end

  it "hears every count on of every fact to 20 as the move it is, with and without the start" do
    missed = []
    facts.each do |problem|
      problem.paths.select { |path| path.rung == 2 && path.landings.size > 2 }.each do |path|
        [path.landings, path.landings.drop(1)].reject { |heard| heard.size < 2 }.each do |heard|
          found = Rungs::Slip.heard(problem, heard).any? do |each|
            each.move == path.move.id && each.slip.nil? && each.answer == problem.answer
          end
          missed << "#{problem}: #{heard} should be #{path.move.id}" unless found
        end
      end
    end
    expect(missed).to be_empty
  end

  it "hears each set counted by itself, but not where a number was left out" do
    expect(best("3 + 5 = ?", [1, 2, 3, 1, 2, 3, 4, 5])).to eq(["all_objects", nil, nil])
    expect(best("3 + 5 = ?", [1, 2, 3, 1, 2, 4, 5])).to eq([nil, nil, 5])
  end

  it "hears a start that was counted in every fact to 20" do
    pairs_to(20).select { |p, q| q >= 2 && p >= 2 && q != p + 1 }.each do |p, q|
      expect(hear("#{p} + #{q} = ?", [*p...(p + q)]).map do |each|
        [each.slip, each.answer]
      end).to include(["start_counted", p + q - 1])
      expect(hear("#{p + q} - #{q} = ?", (p + q).downto(p + 1).to_a).map do |each|
        [each.slip, each.answer]
      end).to include(["start_counted", p + 1])
    end
  end

  it "hears every move of reasoning by its landings" do
    missed = (facts + some_to_100(300)).flat_map do |problem|
      reasoned = problem.paths.select { |path| path.rung.between?(3, 4) && path.landings.size > 1 }
      reasoned.reject { |path| Rungs::Slip.heard(problem, path.landings).map(&:move).include?(path.move.id) }
              .map { |path| "#{problem}: #{path.move.id} #{path.landings}" }
    end
    expect(missed).to be_empty
  end

  it "hears a count that ends one off" do
    pairs_to(20).select { |p, q| q >= 3 && p >= 2 }.each do |p, q|
      [[*(p + 1)...(p + q)], [*(p + 1)..(p + q + 1)], [*p..(p + q + 1)]].each do |run|
        expect(hear("#{p} + #{q} = ?", run).map do |each|
          [each.move, each.slip, each.answer]
        end).to include(["on_first", "miscount", run.last])
      end
    end
  end

  it "hears the counts of objects" do
    expect(best("4 + 3 = ?", [*1..4, *1..3, *1..7])).to eq(["all_objects", nil, 7])
    expect(best("4 + 3 = ?", [*1..7])).to eq(["all_objects", nil, 7])
    expect(best("4 + 3 = ?", [*1..6])).to eq(["all_objects", "miscount", 6])
    expect(best("4 + 3 = ?", [1, 2, 3, 4, 4, 5, 6])).to eq(["all_objects", "miscount", 6])
    expect(best("8 - 3 = ?", [*1..8, *1..3, *1..5])).to eq(["all_remove", nil, 5])
    expect(best("3 + ? = 5", [*1..3, *1..2])).to eq(["all_build_up", nil, 2])
  end

  it "hears examples of the guide" do
    expect(best("9 + 5 = ?", [9, 10, 11, 12, 13])).to eq(["on_first", "start_counted", 13])
    expect(best("2 + 9 = ?", [10, 11])).to eq(["on_larger", nil, 11])
    expect(best("9 + 5 = ?", [10, 11, 13, 14, 15])).to eq(["on_first", "miscount", 15])
    expect(best("9 + 5 = ?", [10, 11, 11, 12, 13])).to eq(["on_first", "miscount", 13])
    expect(best("9 + 5 = ?", [6, 7, 8, 9, 10, 11, 12, 13, 14])).to eq(["on_first", nil, 14])
    expect(best("14 - 5 = ?", [13, 12, 11, 10, 9])).to eq(["back_from", nil, 9])
    expect(best("14 - 9 = ?", [13, 12, 11, 10, 9])).to eq(["back_to", nil, 5])
    expect(best("5 + ? = 8", [6, 7, 8])).to eq(["up_to", nil, 3])
    expect(best("30 + 20 = ?", [40, 50])).to eq(["skip", nil, 50])
    expect(best("6 + 7 = ?", [12, 13])).to eq(["near_double", nil, 13])
    expect(best("6 + 7 = ?", [14, 13])).to eq(["double_less_one", nil, 13])
    expect(best("38 + 27 = ?", [50, 65])).to eq(["place_value", nil, 65])
    expect(best("9 + 5 = ?", [10, 11, 12, 13])).to eq(["on_first", "miscount", 13])
    expect(best("9 + 5 = ?", [9, 10, 14])).to eq(["up_through_ten", nil, 14])
  end

  it "tells a start counted for a missing part by the answer heard" do
    expect(hear("7 + ? = 12", [*7..12]).map do |each|
      [each.slip, each.answer]
    end).to contain_exactly([nil, 5], ["start_counted", 6])
    expect(hear("7 + ? = 12", [*7..12, 6]).map do |each|
      [each.move, each.slip, each.answer]
    end).to eq([["up_to", "start_counted", 6]])
    expect(hear("7 + ? = 12", [*8..12, 5]).map do |each|
      [each.move, each.slip, each.answer]
    end).to eq([["up_to", nil, 5]])
    expect(best("7 + ? = 12", [*7..11])).to eq(["up_to", "miscount", nil])
    expect(best("7 + ? = 12", [*7..11, 4])).to eq(["up_to", "miscount", 4])
  end

  it "leaves the answer open where sets were counted and not the whole" do
    expect(best("4 + 3 = ?", [*1..4, *1..3])).to eq(["all_objects", nil, nil])
    expect(best("8 - 3 = ?", [*1..8, *1..3])).to eq(["all_remove", nil, nil])
  end

  it "hears tens backwards" do
    expect(best("70 - 30 = ?", [70, 60, 50, 40])).to eq(["skip_back", nil, 40])
    expect(best("70 - 30 = ?", [60, 50, 40])).to eq(["skip_back", nil, 40])
  end

  {
    ["27 + 10 = ?", [27, 37]] => ["on_by_tens", nil, 37], ["37 + 30 = ?", [47, 57, 67]] => ["on_by_tens", nil, 67],
    ["10 + 27 = ?", [27, 37]] => ["on_by_tens", nil, 37], ["65 - 20 = ?", [65, 55, 45]] => ["back_by_tens", nil, 45],
    ["34 + 25 = ?", [34, 44, 54, 55, 56, 57, 58, 59]] => ["on_by_tens", nil, 59],
    ["34 + 25 = ?", [34, 44, 54, 56, 57, 58, 59]] => ["on_by_tens", "miscount", 59],
    ["34 + 25 = ?", [34, 44, 44, 54, 55, 56, 57, 58, 59]] => ["on_by_tens", "miscount", 59],
    ["34 + 25 = ?", [34, 44, 54, 55, 56, 57, 58]] => ["on_by_tens", "start_counted", 58],
    ["34 + 25 = ?", [54, 59]] => ["tens_then_ones", nil, 59],
    ["34 + 25 = ?", [34, 54, 59]] => ["tens_then_ones", nil, 59],
    ["38 + 27 = ?", [58, 65]] => ["tens_then_ones", nil, 65], ["38 + 27 = ?", [50, 15, 65]] => ["place_value", nil, 65],
    ["38 + 27 = ?", [15, 50, 65]] => ["place_value", nil, 65],
    ["65 - 27 = ?", [45, 38]] => ["tens_then_ones_back", nil, 38],
    ["58 - 23 = ?", [5, 30, 35]] => ["place_value_apart", nil, 35]
  }.each do |(text, heard), wanted|
    it "hears #{heard.join(' ')} for #{text}" do
      expect(best(text, heard)).to eq(wanted)
    end
  end

  it "never says that nobody saw how where two numbers or more are the landings of a move, with or without its start",
     :deep do
    (problems_to(20) + some_to_100(300)).each do |problem|
      next if problem.two_sided?

      landings = problem.paths.select { |path| path.rung > 1 }.map(&:landings)
      landings.flat_map { |each| [each, each.drop(1)] }.each do |said|
        next if said.size < 2

        expect(Rungs::Slip.heard(problem, said).first.rung).not_to eq("unseen"), "#{problem}: #{said}"
      end
    end
  end

  it "says from which of the two numbers was counted" do
    whys = [[*5..13], [*6..13], [*8..13], [*9..13]].map { |said| hear("8 + 5 = ?", said).first }
    expect(whys.map(&:move)).to eq(%w[on_first] * 4)
    expect(whys.map do |each|
      each.why[/the \w+ number/]
    end).to eq((["the second number"] * 2) + (["the first number"] * 2))
  end

  it "takes a wrong answer alone, quick or not timed, as unseen or a guess, and says what it may come from" do
    [2, nil].each do |seconds|
      candidates = hear("9 + 5 = ?", [13], seconds: seconds)
      expect(candidates.map { |each| [each.rung, each.slip] })
        .to eq([%w[unseen start_counted], %w[guess start_counted]])
      expect(candidates.map(&:confidence)).to all(be <= 0.6)
      expect(candidates.first.why).to include("it may come from: the starting number counted as a step")
    end
  end

  it "takes a lone answer as known only when it came within three seconds" do
    expect(hear("9 + 5 = ?", [14], seconds: 2).map(&:rung)).to eq(%w[known_fact])
    expect(hear("9 + 5 = ?", [14], seconds: 3.5).map(&:rung)).to eq(%w[unseen])
    expect(hear("9 + 5 = ?", [14]).map(&:rung)).to eq(%w[unseen known_fact])
  end

  it "always says something, with confidences that add up to one, and records nothing by itself" do
    random = Random.new(8)
    200.times do
      problem = facts.sample(random: random)
      candidates = Rungs::Slip.heard(problem, Array.new(1 + random.rand(6)) { random.rand(21) })
      expect(candidates).not_to be_empty
      expect(candidates.sum(&:confidence)).to be_within(0.01).of(1)
      expect(candidates.map(&:confidence)).to eq(candidates.map(&:confidence).sort.reverse)
    end
    expect(hear("9 + 5 = ?", [77, 3]).map(&:rung)).to eq(%w[unseen])
    expect { hear("9 + 5 = ?", []) }.to raise_error(Rungs::Error::Unreadable)
  end
end
