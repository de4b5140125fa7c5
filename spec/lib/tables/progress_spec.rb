# frozen_string_literal: true

# What made-up records say, against what is kept of it.
RSpec.describe "The records’ tables" do
  progress = Rungs::Progress

  let(:start) { Date.new(2026, 9, 7) }
  let(:bands) { Rungs::Problem::Band::ALL.ids }

  # A made-up child’s answers: mostly on one rung, some beside it, some wrong, some with help, some off the ladder.
  def records(seed, operation: "add", band: "bridge", many: nil)
    chance = Random.new(seed)
    pool = Rungs::Problem::Pool.of(operation, band).problems
    day, mostly = start + chance.rand(20), chance.rand(1..5)
    Array.new(many || chance.rand(0..16)) do
      problem = pool.sample(random: chance)
      rung = (mostly + [0, 0, 0, 0, 1, -1].sample(random: chance)).clamp(1, 5)
      progress_record(problem, chance.rand < 0.06 ? nil : rung, day += chance.rand(6), chance)
    end
  end

  def progress_record(problem, rung, day, chance)
    Rungs::Progress::Record.new(day: day, rung: rung, affords: problem.affords, fact: problem.fact,
                                right: chance.rand < 0.82,
                                help: %w[alone alone alone prompted shown].sample(random: chance))
  end

  def shape(estimate)
    words = estimate.words
    [estimate.working, estimate.confidence.round(9), estimate.enough?, estimate.mostly?, estimate.recent,
     estimate.working && [estimate.secure?, estimate.lacking], estimate.emerging, estimate.repertoire,
     estimate.steadiness, estimate.silent_days, estimate.told, estimate.title, estimate.reason, words.so_far,
     words.sureness, words.works]
  end

  it "hold for the estimates of 300 children, on several days, and what is said of them" do
    expect_table("estimates", (1..300).to_h do |seed|
      heard = records(seed, band: bands[seed % 7], operation: seed.odd? ? "add" : "subtract")
      last = heard.last&.day || start
      [seed.to_s, [0, 1, 28, 42, 60, 300].map { |days| shape(progress::Estimate.of(heard, on: last + days)) }]
    end)
  end

  # Edges that chance seldom meets: just enough, on enough days, just right often enough.
  it "hold at the edges of what is secure" do
    sizes = [*2..6].product([1, 2, 3, 4], [1, 2, 3], [0, 1, 2], [1, 14, 41, 42, 43])
    expect_table("secure", sizes.to_h do |many, facts, days, wrong, ago|
      heard = Array.new(many) do |at|
        progress::Record.new(day: start + (at % days), rung: 3, affords: [1, 2, 3, 4, 5], fact: [3, 4 + (at % facts)],
                             right: at >= wrong, help: "alone")
      end
      told = progress::Estimate.of(heard, on: start + ago)
      [[many, facts, days, wrong, ago].join(" "), [told.secure?, told.lacking, told.reason]]
    end)
  end

  it "hold for facts, known, reasoned, due, and numbers that invite a rung" do
    expect_table("facts", (1..60).to_h do |seed|
      heard = records(seed, band: %w[to5 to10 bridge][seed % 3], many: 24)
      days = [0, 1, 3, 7, 30].map { |more| heard.last.day + more }
      map = progress::FactMap.new(heard, on: days.first)
      square = progress::Square.new(10, unknown: %i[whole first second][seed % 3])
      inviting = (2..4).map { |rung| progress::Inviting.pick(square, rung: rung, facts: [map], whole: 10 + (seed % 8)) }
      [seed.to_s, [map.by_state, days.map { |day| progress::DueFacts.of(heard, on: day) }, inviting,
                   progress::DueFacts.most([heard, records(seed + 1, many: 20)], on: days.last)]]
    end)
  end

  it "hold for the problems that come next" do
    all = [*1..5].product(%w[add subtract], bands)
    expect_table("next", all.to_h do |working, operation, band|
      lasts = [[], [[2, 9], [3, 4], [1, 4], [10, 20]]]
      told = lasts.map do |last|
        progress::NextProblems.propose(working: working, operation: operation, band: band, last: last, count: 5)
                              .map { |each| [each.problem.to_s, each.aim, each.move, each.why] }
      end
      heard = records(working, band: band, operation: operation, many: 30)
      own = [4, 10, 17, 30].map do |many|
        estimate = progress::Estimate.of(heard.first(many), on: heard[many - 1].day)
        progress::NextProblems.for_child(estimate, operation: operation, band: band, records: heard.first(many))
                              .map { |each| [each.problem.to_s, each.aim, each.why, each.telling] }
      end
      ["#{working} #{operation} #{band}", [told, own]]
    end)
  end

  it "hold for check-ins, problem by problem" do
    all = %w[add subtract both].product([nil, *progress::CheckIn::BANDS], [*1..5])
    expect_table("check_ins", all.to_h do |operation, band, rung|
      chance = Random.new(rung)
      start = { band: band, operation: (operation unless operation == "both") }.compact
      check, said = (start[:operation] ? progress::CheckIn : progress::CheckIn::Both).start(band: nil, **start), []
      while (choice = check.choose(chance))
        heard = chance.rand < 0.15 ? nil : choice.problem.affords.min_by { |each| [(each - rung).abs, each] }
        check = check.hear(choice.problem, heard)
        said << [choice.problem.to_s, choice.why, check.done?]
      end
      [[operation, band, rung].compact.join(" "), [said, check.summary, check.found.transform_values(&:to_a)]]
    end)
  end

  it "hold for whom to hear, and for groups" do
    expect_table("listening", (1..80).to_h do |seed|
      chance = Random.new(seed)
      children = Array.new(chance.rand(3..14)) { |at| listened(at, seed, chance) }
      days = Rungs::SchoolDays.from(Date.new(2026, 11, 23), 4)
      absent = { days[1] => [children.first.child] }
      plan = progress::Listening.plan(children, days: days, places: chance.rand(1..7), absent: absent)
      turns = plan.map { |day| [day.date, day.turns.map { |turn| [turn.name, turn.because] }] }
      [seed.to_s, [turns, groups(children, chance)]]
    end)
  end

  def listened(at, seed, chance)
    heard = records((seed * 20) + at)
    on = Date.new(2026, 11, 23)
    last = heard.reverse.find { |each| each.day < on }
    Rungs::Progress::Listening::Child.new(child: at, name: "child #{chance.rand(40)}", last: last&.day,
                                          records: heard.size, slip: chance.rand < 0.2 ? "start counted" : nil,
                                          estimate: Rungs::Progress::Estimate.of(heard, on: on))
  end

  def groups(children, chance)
    of = Rungs::Progress::Groups
    members = children.map { |each| of::Member.new(child: each.child, rung: each.estimate.working) }
    apart = [members.sample(2, random: chance).map(&:child)]
    found = of.best(members, sizes: 2..5, apart: apart)
    of.told(found, operation: "add", band: %w[to5 to10 bridge to100].sample(random: chance)).map do |each|
      [each.who.map(&:child), each.aim, each.heading, each.reason]
    end
  rescue Rungs::Error => e
    e.message
  end
end
