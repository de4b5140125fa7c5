# frozen_string_literal: true

# What the strategies and slips say, against what is kept of it.
RSpec.describe "The strategies’ tables" do
  let(:few) do
    given = [["add_to.result", 9, 5], ["add_to.result", 3, 4], ["take_from.result", 8, 6], ["take_from.result", 3, 2],
             ["add_to.change", 7, 5], ["take_from.start", 6, 7], ["compare.difference.more", 5, 2],
             ["together.both", 4, 3]]
    bare = ["2 + 3 + 5 = □", "7 + 3 + 6 = □", "8 + 4 = □ + 5", "27 + 10 = □", "65 − 20 = □", "34 + 25 = □"]
    given.map { |id, *parts| told(Rungs::Problem::Situation::ALL.fetch(id), parts) } + bare.map { |text| problem(text) }
  end

  def name(problem) = [problem.situation&.id, problem].compact.join(" ")

  it "hold for the ways of problems to twenty, and of larger ones" do
    problems = problems_to(20, situations: SmallNumbers::KINDS).each_slice(211).map(&:first) + some_to_100(5) + few
    expect_table("paths", problems.uniq { |each| name(each) }.flat_map do |each|
      pull = Rungs::Strategy::Pull.new(each).to_h
      works = pull[:pull].map { |one| "#{one[:rung]} #{one[:work]}" }
      [[name(each), [each.band, each.affords.to_a.join(" "), *works, "invites #{pull[:invites]}"].join(" · ")],
       *each.paths.map { |path| ["#{name(each)}, #{path.move.id}", said_of(path)] }]
    end.to_h)
  end

  def said_of(path)
    its = path.to_h
    [its[:rung], its[:landings].join(" "), *its[:equations], its[:says],
     %i[counts recalls splits turns work].map do |each|
       "#{its[each]} #{each}"
     end.join(", "), *its[:recalled]].join(" · ")
  end

  # The landings as they are, without the first or last, with one said twice, left out or turned round; counts from one.
  def sayings(problem)
    own = problem.paths.map(&:landings).uniq.first(3).flat_map do |said|
      [said, said.drop(1), said[0...-1], said.first(1) + said, said.reverse, said.reject.with_index { |_, at| at == 1 }]
    end
    (own + [[*1..problem.whole], [*1..[problem.whole - 1, 1].max]]).uniq.reject { |said| said.empty? || said.size > 20 }
  end

  it "hold for what is heard of them" do
    cases = few.each_slice(2).map(&:first).flat_map { |each| [each].product(sayings(each), [nil, 2]) }
    expect_table("hearing", cases.to_h do |each, said, seconds|
      heard = Rungs::Slip.heard(each, said, seconds: seconds).map do |one|
        [one.rung, one.move, one.slip, one.answer, one.confidence, one.why].compact.join(" ")
      end
      [["#{name(each)}, #{said.join(' ')}", *seconds].join(" in "), heard.join(" | ")]
    end)
  end

  it "hold for every answer that a slip could give, and the problem that tells them apart" do
    cases = few.flat_map do |each|
      answers = [*(each.answer - 3)..(each.answer + 3), each.whole, *each.parts, each.answer + 10, each.answer * 10]
      answers.uniq.select { |answer| answer >= 0 }.map { |answer| [each, answer] }
    end
    expect_table("slips", cases.to_h { |each, answer| ["#{name(each)}, #{answer}", slipped(each, answer)] })
  end

  def slipped(problem, answer)
    found = [nil, "count_all", "count_on"].flat_map do |rung|
      Rungs::Slip::Diagnosis.new(problem, answer, rung: rung).slips.map do |one|
        "#{rung} #{one.to_h.values.join(' ')}".strip
      end
    end
    probe = Rungs::Slip::Diagnosis.new(problem, answer).probe&.to_h
    [*found.uniq, ("next #{probe.values.join(' ')}" if probe)].compact.join(" | ")
  end

  it "hold for the ways that are shared" do
    expect_table("sharing", few.to_h do |each|
      heard = each.paths.each_with_index.map do |path, at|
        Rungs::Strategy::Sharing::Heard.new(who: "child #{at}", rung: path.rung, move: at.odd? ? path.move.id : nil,
                                            right: at % 5 != 3)
      end
      proposed = Rungs::Strategy::Sharing.propose(each, heard)
      [name(each), proposed.map { |one| [one.path.move.id, one.who, one.why].compact.join(" ") }.join(" | ")]
    end)
  end
end
