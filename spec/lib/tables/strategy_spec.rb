# frozen_string_literal: true

# Every small case of what the strategies and slips say, against what is kept of it.
RSpec.describe "The strategies’ tables" do
  let(:bare) { ["2 + 3 + 5 = □", "4 + 4 + 1 = □", "7 + 3 + 6 = □", "1 + 9 + 0 = □", "6 + 5 + 4 = □"] }
  let(:two_sided) { ["8 + 4 = □ + 5", "5 + 3 = □ + 4", "7 + 6 = 10 + □", "□ + 2 = 4 + 5", "9 + 6 = □ + 8"] }

  def some = problems_to(20, situations: SmallNumbers::KINDS).each_slice(9).map(&:first) + some_to_100(80) + others

  def others
    [*bare, *two_sided, "□ − 5 = 7", "27 + 10 = □", "65 − 20 = □", "34 + 25 = □"].map { |text| problem(text) }
  end

  def name(problem) = [problem.situation&.id, problem].compact.join(" ")

  it "hold for the paths, scenes and pull of every problem to twenty, and of larger ones" do
    problems = problems_to(20, situations: SmallNumbers::KINDS) + some_to_100(250) + others
    expect_table("paths", problems.uniq { |each| name(each) }.to_h do |each|
      [name(each), [Rungs::Strategy::Pull.new(each).to_h, each.affords, each.band,
                    each.paths.map { |path| [path.to_h, path.scenes.map(&:to_a), path.by_ones?] }]]
    end)
  end

  # The landings as they are, without the first or last, with one said twice, left out or turned round; counts from one.
  def sayings(problem)
    own = problem.paths.map(&:landings).uniq.flat_map do |said|
      [said, said.drop(1), said[0...-1], said.first(1) + said, said.reverse, said.reject.with_index { |_, at| at == 1 }]
    end
    whole, part = [problem.whole, problem.parts.first].minmax.reverse
    counts = [[*1..whole], [*1..part, *1..whole - part, *1..whole], [*1..part, *1..whole - part],
              [*1..[whole - 1, 1].max]]
    (own + counts).uniq.reject { |said| said.empty? || said.size > 60 }
  end

  it "hold for what is heard of them", :deep do
    expect_table("hearing", some.each_slice(2).map(&:first).uniq { |each| name(each) }.to_h do |each|
      heard = sayings(each).product([nil, 2, 3, 4]).map { |said, seconds| Rungs::Slip.heard(each, said, seconds: seconds) }
      [name(each), heard.map { |candidates| candidates.map(&:to_h) }]
    end)
  end

  it "hold for every answer that a slip could give, on every rung", :deep do
    expect_table("slips", some.uniq { |each| name(each) }.to_h do |each|
      answers = [*0..22, *(each.whole - 11)..(each.whole + 11), each.whole * 10, each.whole + each.parts.last]
      said = answers.uniq.product([nil, "count_all", "count_on", "part_whole", "make_ten", "known_fact"])
      [name(each), said.map { |answer, rung| Rungs::Slip::Diagnosis.new(each, answer, rung: rung).slips.map(&:to_h) }]
    end)
  end

  it "hold for the problems that tell slips apart", :deep do
    expect_table("probes", some.each_slice(4).map(&:first).uniq { |each| name(each) }.to_h do |each|
      answers = [each.answer - 1, each.answer + 1, each.whole, each.parts.first, 10].select { |answer| answer >= 0 }
      [name(each), answers.uniq.map { |answer| Rungs::Slip::Diagnosis.new(each, answer).probe&.to_h }]
    end)
  end

  it "hold for the ways that are shared" do
    expect_table("sharing", some.each_slice(5).map(&:first).uniq { |each| name(each) }.to_h do |each|
      heard = each.paths.each_with_index.map do |path, at|
        Rungs::Strategy::Sharing::Heard.new(who: "child #{at}", rung: path.rung, move: at.odd? ? path.move.id : nil,
                                            right: at % 5 != 3)
      end
      [name(each), [heard, heard.each_slice(2).map(&:first)].map do |those|
        Rungs::Strategy::Sharing.propose(each, those).map { |one| [one.path.to_h, one.who, one.why] }
      end]
    end)
  end
end
