# frozen_string_literal: true

require "spec_helper"

RSpec.describe Rungs::Planning::Stories do
  def stories(told, operation: "add", year: "first", **more)
    described_class.new(operation: operation, year: year, times_told: Hash.new(0).merge(told), other_range: "to10",
                        **more)
  end

  it "tells an earlier situation third from the second week on, and one of the other operation fourth" do
    firsts = ->(told) { Array.new(5) { |place| stories(told).for(place, of: 5).first } }
    expect(firsts.call({})).to eq(%w[add_to.result add_to.result add_to.result take_from.result add_to.result])
    expect(firsts.call({ "add_to.result" => 2, "together.total" => 1 }))
      .to eq(%w[together.total together.total add_to.result take_from.result together.total])
  end

  it "goes on when most were right, and tells one at most so often for that" do
    first = ->(times, wrong) { stories({ "add_to.result" => times }, wrong: wrong).for(0, of: 1).first }
    expect([first.call(2, []), first.call(2, %w[add_to.result]), first.call(4, %w[add_to.result])])
      .to eq(%w[together.total add_to.result together.total])
  end

  it "has towers compared before any story that compares" do
    all = %w[add_to.result together.total together.both together.three].to_h { |id| [id, 2] }
    met = ->(compared) { stories(all, compared: -> { compared }).for(0, of: 1) }
    expect([met.call(false).first, met.call(true).first]).to eq(%w[two_towers compare.bigger.more])
    expect(met.call(false).grep(/compare/)).to eq([])
  end
end

RSpec.describe Rungs::Planning::Focus do
  include ClassAsAWeekBegins

  def focus(goal, days: 5, done: {})
    described_class.new(goal, Rungs::Planning::Memory.new(met: {}, recent: [], done: done), days: days)
  end

  def ids(candidates) = candidates.map { |each| each.kind.id }.uniq

  it "has for every aim those of the table first, each able to be drawn, then whatever else acts it out" do
    order.product([1, 2, 3, 4], %w[add subtract]).each do |range, rung, operation|
      goal = aim(operation, range, rung)
      found = ids(focus(goal).for(monday))
      suited = Rungs::Activity::ALL.select { |kind| kind.suits.aim?(goal) }.map(&:id)
      expect(suited - found).to eq([]), goal.to_h.inspect
    end
    expect(ids(focus(aim("add", "to5", 3)).for(monday)).first(2)).to eq(%w[all_the_ways toss])
    expect(ids(focus(aim("add", "bridge", 4)).for(monday)).first(4))
      .to eq(%w[fill_the_frame number_string jump_track same_both_sides])
    expect(focus(aim("add", "to10", 2)).for(monday).first.options).to include("covered" => "first", "range" => "to10")
  end

  it "stays for three days, then the next; back from the last comes the first" do
    now = focus(aim("add", "to10", 3)).for(monday)
    toss, ways = now.find { |each| each.kind.id == "toss" }, now.find { |each| each.kind.id == "all_the_ways" }
    twins = now.find { |each| each.kind.id == "twins" }
    after = ->(candidate, days) { focus(aim("add", "to10", 3)).for(monday, now: candidate, stayed: days).first.kind.id }
    expect([after.call(toss, 2), after.call(toss, 3), after.call(ways, 3), after.call(twins, 3)])
      .to eq(%w[toss all_the_ways twins toss])
  end

  it "is not the same in the same picture for more than three days running, nor five of the last ten" do
    goal, before = aim("add", "to10", 3), Rungs::SchoolDays.before(monday, 9)
    first = lambda { |days, year|
      focus(aim("add", "to10", 3, year: year), done: { "toss" => days }).for(monday).first.kind.id
    }
    expect(first.call(before.last(2), "first")).to eq("toss")
    expect(first.call(before.last(3), "first")).to eq("all_the_ways")
    expect(first.call(before.first(5), "first")).to eq("all_the_ways")
    expect(first.call(before.first(4), "first")).to eq("toss")
    expect(first.call(before.first(5), "kindergarten")).to eq("toss")
    expect(goal.rung).to eq(3)
  end
end

RSpec.describe Rungs::Planning::Shape do
  it "has all parts from 25 minutes on, the check on the last two days, and looks back on the last" do
    days = (0..4).map { |index| described_class.roles(index, of: 5, minutes: 25) }
    expect(days.first).to eq(%i[warm_up focus story practise])
    expect(days.map { |roles| [roles.include?(:check), roles.include?(:look_back)] })
      .to eq(([[false, false]] * 3) + [[true, false], [true, true]])
    expect(described_class.roles(1, of: 2, minutes: 25)).not_to include(:check)
    expect(described_class.roles(4, of: 5, minutes: 25, checked: false)).not_to include(:check)
  end

  it "has the focus alone beside the warm-up in little time, and by itself in less" do
    expect([12, 8].map do |minutes|
      described_class.roles(0, of: 5, minutes: minutes)
    end).to eq([%i[warm_up focus], [:focus]])
  end

  it "gives the usual parts of a lesson their shares of any time" do
    (4..60).each do |time|
      shares = described_class.shared([5, 10, 8, 5], of: time)
      expect([shares.sum, shares.min >= 1, shares.max]).to eq([time, true, shares[1]])
    end
  end

  it "lets story and practising take turns where time is short, and practises beside the check" do
    days = (0..4).map { |index| described_class.roles(index, of: 5, minutes: 20) & %i[story practise] }
    expect(days).to eq([[:story], [:practise], [:story], [:practise], [:practise]])
  end

  it "comes within three minutes of the class’s time, each part within its own" do
    (10..60).to_a.product([0, 1, 3, 4], %w[first kindergarten]).each do |time, index, year|
      minutes = described_class.minutes(described_class.roles(index, of: 5, minutes: time), of: time, year: year)
      expect(minutes.values.sum).to be_between(time - 3, time + 3), "#{time} #{index} #{minutes}"
      minutes.except(:games).each { |role, each| expect(described_class::SPANS.fetch(role)).to cover(each) }
      expect(minutes.fetch(:focus, 7)).to be <= (year == "first" ? 10 : 8)
    end
  end
end

RSpec.describe Rungs::Planning::ProposedWeek do
  include ClassAsAWeekBegins

  # Every range with the rungs that are aimed at there.
  let(:aimed) { order.product(%w[add subtract], [2, 3]) + %w[to10 bridge to100].product(%w[add subtract], [4]) }

  def week(goal, class_of = alike(9, goal.range, [goal.rung - 1, 1].max), seed: 3, days: 5, **more)
    described_class.new(days: Rungs::SchoolDays.from(monday, days), aim: goal, standing: class_of,
                        seed: seed, **more)
  end

  def everything
    ids = { "activity" => Rungs::Activity::ALL.ids, "situation" => Rungs::Problem::Situation::ALL.ids,
            "picture" => Rungs::Picture::KINDS.ids, "range" => Rungs::Problem::Band::ALL.ids }
    ids.flat_map { |what, all| all.each_with_index.map { |id, at| [[what, id], Date.new(2026, 10, 1) + at] } }.to_h
  end

  def shape(week) = week.days.map { |day| day.parts.map(&:to_h) }
  def problems(part) = part.items.filter_map { |data| part.kind.with(part.options).problem_of(data) }

  it "holds every part to the aim: its operation, nothing above the range, a focus in it and for the aim", :deep do
    known = [{}, everything]
    some(aimed.each_with_index.to_a, 7).each do |(range, operation, rung), at|
      met = known[at % 2]
      goal = aim(operation, range, rung)
      facts = goal.facts
      parts = week(goal, met: met).days.flat_map(&:parts)
      parts.each do |part|
        asked = problems(part)
        others = part.sets.to_a.reject { |set| set.level == "middle" }.map { |set| set.problem.to_s }
        bands = asked.reject { |each| others.include?(each.to_s) }.map(&:band)
        expect(bands.map { |band| place(band) }.max.to_i).to be <= place(range), "#{goal.to_h} #{part.to_h}"
        next unless %i[focus practise].include?(part.role)

        expect(asked).to all(satisfy { |each| part.kind.suits.operation?(each, operation) || part.kind.roles.any? })
        next unless part.role == :focus

        expect(asked.count { |each| each.band == range } * 3).to be >= asked.size * 2
        expect(asked.count { |each| facts.include?(each.parts.sort) } * 2).to be >= asked.size
        expect(part.kind.suits.aim?(goal) || part.kind.id == "number_string").to be(true)
      end
    end
  end

  it "has every place of a day filled, within three minutes of the time, and says why with a count or a name", :deep do
    some(aimed.each_slice(4).map(&:first).product([12, 20, 25, 40]), 6).each do |(range, operation, rung), time|
      days = week(aim(operation, range, rung), minutes: time).days
      days.each_with_index do |day, index|
        wanted = Rungs::Planning::Shape.roles(index, of: 5, minutes: time)
        expect(wanted - day.parts.map(&:role)).to eq([]), "#{range} #{operation} #{rung} #{time} #{index}"
        expect(day.minutes).to be_between(time - 3, time + 3)
      end
      expect(days.flat_map(&:parts).map(&:reason)).to all(match(/\A(?=.*(\d|once|first|all|Nobody))[A-Z0-9“].*[.?]\z/))
    end
  end

  it "brings one new thing a day at most, none on the day after and none on the last", :deep do
    some(aimed.each_slice(2).map(&:last), 4).each do |range, operation, rung|
      days = week(aim(operation, range, rung)).days
      expect(days.map { |day| day.parts.count(&:new_thing) }.max).to be <= 1
      expect(days.each_cons(2).none? { |one, other| one.new_thing && other.new_thing }).to be(true)
      expect(days.last.new_thing).to be_nil
    end
    expect(week(aim("add", "to10", 3), met: everything).days.filter_map(&:new_thing)).to eq([])
    expect(week(aim("add", "to10", 3)).days.first.new_thing.new_thing.first).to eq("activity")
  end

  it "keeps one focus for two or three days", :deep do
    some(aimed.each_slice(3).map(&:first), 3).each do |range, operation, rung|
      kinds = week(aim(operation, range, rung), met: everything).days.map do |day|
        day.parts.find { |part| part.role == :focus }.kind
      end
      expect(kinds.chunk_while { |one, other| one == other }.map(&:size).max).to be >= 2
      expect(kinds.uniq.size).to be <= 3
    end
  end

  it "is the same of the same class, days and seed, and another of another seed" do
    goal = aim("add", "bridge", 4)
    expect(shape(week(goal))).to eq(shape(week(goal)))
    expect(shape(week(goal))).not_to eq(shape(week(goal, seed: 4)))
  end

  it "names in a warm-up who works on the lowest rung, where they are few" do
    told = lambda do |many|
      children = ("a".."f").each_with_index.to_h { |name, at| [name, { "to10" => [at < many ? 1 : 2] * 6 }] }
      week(aim("add", "to10", 3), standing(children)).days.first.parts.first.reason
    end
    expect(told.call(2)).to match(/begin with: 2 of 6 work by counting all to 10: a and b\.\z/)
    expect(told.call(5)).to match(/begin with: 5 of 6 work by counting all to 10\.\z/)
  end

  it "does nothing twice on a day but the focus" do
    [2, 3, 4].product([3, 5, 8]).each do |rung, seed|
      week(aim("add", "to10", rung), seed: seed, minutes: 40).days.each do |day|
        focus = day.parts.find { |part| part.role == :focus }.kind
        others = day.parts.map(&:kind) - [focus] - day.parts.select { |part| part.role == :check }.map(&:kind)
        expect(others.map(&:id)).to eq(others.map(&:id).uniq), "#{rung} #{seed}"
      end
    end
  end

  it "repeats no item of late while there are others" do
    goal = aim("add", "to100", 3)
    first = week(goal).days.first.parts.flat_map { |part| part.items.map { |data| [part.kind.id, data] } }
    again = week(goal, recent: first).days.flat_map(&:parts).reject(&:fixed)
    expect(again.flat_map { |part| part.items.map { |data| [part.kind.id, data] } } & first).to eq([])
  end

  it "gives one story to all, with easier and harder numbers for those who are named" do
    class_of = standing({ "Ada" => { "to10" => [2] * 3 }, "Bo" => { "bridge" => ([2] * 5) + [3] },
                          "Cleo" => { "to100" => [3] * 3 } })
    sets = week(aim("add", "bridge", 4), class_of).days.first.parts.find { |part| part.role == :story }.sets
    expect(sets.map { |set| [set.level, set.names] }).to eq([["easier", ["Ada"]], ["middle", ["Bo"]],
                                                             ["harder", ["Cleo"]]])
    expect(sets.map { |set| set.problem.band }).to eq(%w[to10 bridge to100])
    expect(sets[2].problem.whole - sets[1].problem.whole).to eq(20)
    stories = week(aim("add", "bridge", 4), class_of).days.flat_map(&:parts).select { |part| part.role == :story }
    own, other = stories.partition do |part|
      Rungs::Problem::Situation::ALL.fetch(part.options["situation"]).operation == "add"
    end
    kept = own.map { |part| [part.fixed, part.items.map { |data| data[:number_set] }.uniq.size] }
    expect([kept.uniq, other.map(&:sets)]).to eq([[[true, 3]], [[]]])
  end

  it "brings back what was new when it is due, once, and says so" do
    due = Rungs::Planning::DueAgain.new(since: monday - 6, on: monday + 1)
    weeks = %w[turn_around jump_track match_up].to_h do |id|
      [id, week(aim("add", "bridge", 3), met: everything, due: { id => due }, minutes: 30)]
    end
    weeks.each do |id, proposed|
      back = proposed.days.select { |day| day.parts.any? { |part| part.reason.start_with?("New on 24 November") } }
      expect(back.map { |day| day.parts.map { |part| part.kind.id }.include?(id) }).to eq([true])
      expect(back.first.date).to be >= due.on
    end
  end

  # A made-up class of a kind, by a seed.
  def made_up(seed)
    random = Random.new(seed)
    kind = %i[beginners mid_year mixed far_ahead unheard slips][seed % 6]
    children = Array.new(random.rand(6..12)) { |place| ("a".ord + place).chr }
    by_child = children.to_h { |name| [name, answers_of(kind, name == "a", random)] }
    year = random.rand(4).zero? ? "kindergarten" : "first"
    [standing(by_child, operation: %w[add subtract][seed % 2], year: year), children, kind]
  end

  def answers_of(kind, first, random)
    return {} if kind == :unheard && !first

    range = { beginners: %w[to5 to10], mixed: order, far_ahead: [first ? "to100" : "to10"] }.fetch(kind, order[1..3])
    rungs = Array.new(random.rand(2..7)) { random.rand(1..(kind == :beginners ? 2 : 4)) }
    { range.sample(random: random) => rungs }
  end

  it "is a week to teach for 200 made-up classes, for each with its names", :seeds do
    seeds(200, few: 6).each do |seed|
      class_of, children, kind = made_up(seed)
      slips = kind == :slips ? [Rungs::Planning::SharedSlip.new(id: "start_counted", names: children.first(3))] : []
      met = seed.even? ? everything : {}
      proposed = week(class_of.aim(class_of.range), class_of, seed: seed, met: met, slips: slips)
      days, told = proposed.days, "class #{seed}"
      expect(days.map { |day| day.minutes.between?(22, 28) }).to all(be(true)), told
      expect(days.map { |day| day.parts.count(&:new_thing) }.max).to be <= (kind == :unheard ? 0 : 1), told
      expect(days.last.new_thing).to be_nil, told
      expect(proposed.check.nil?).to be(class_of.unheard?), told
      stories = days.flat_map(&:parts).select { |part| part.role == :story && part.sets.to_a.any? }
      expect(stories.map { |part| part.sets.flat_map(&:names).sort }).to all(eq(children)), told
      out = days.flat_map(&:parts).map(&:reason)
      expect(out.grep(/counted/).size).to eq(kind == :slips ? 1 : 0), told
    end
  end

  it "goes on for three weeks: nothing new comes twice, no story is left out, no item of late comes again", :deep do
    cells = [["to5", 3], ["to10", 2], ["bridge", 4], ["to100", 3]].product(%w[add subtract], %w[first kindergarten])
    some(cells, 3).each do |(range, rung), operation, year|
      goal, met, told, parts = aim(operation, range, rung), {}, Hash.new(0), []
      3.times do |count|
        class_of = alike(9, range, [rung - 1, 1].max, year: year)
        days = Rungs::SchoolDays.from(monday + (7 * count), 5)
        late = parts.last(60).flat_map { |part| part.items.map { |data| [part.kind.id, data] } }
        proposed = described_class.new(days: days, aim: goal, seed: count, standing: class_of, met: met.dup,
                                       times_told: told.dup, recent: late)
        proposed.days.each { |day| day.parts.each { |part| parts << remember(day.date, part, met, told) } }
      end
      fresh, stories = parts.filter_map(&:new_thing), parts.select { |part| part.role == :story }
      expect(fresh).to eq(fresh.uniq), goal.to_h.inspect
      expect(stories.map { |part| part.options["situation"] }.tally.values.max).to be <= stories.size / 2
      expect(told.size).to be >= 3
    end
  end

  def remember(date, part, met, told)
    situation = part.options["situation"]
    things = Rungs::Planning::Novelty.things(part.kind, part.options, situation: situation)
    things.each { |thing| met[thing] = date }
    told[situation] += 1 if part.role == :story
    part
  end

  it "listens to everybody on like facts on the last two days" do
    check = week(aim("add", "bridge", 4)).check
    expect([check.needed, check.present, check.facts.size, check.days.size]).to eq([6, 9, 4, 2])
    expect(check.facts.map(&:band).uniq).to eq(["bridge"])
    right, low, shown = record(Date.new(2026, 12, 3), 3, [9, 4]), record(Date.new(2026, 12, 3), 2, [9, 4]),
                        record(Date.new(2026, 12, 3), 4, [9, 4], help: "shown")
    goal = aim("add", "bridge", 4)
    expect(check.reached?([right] * 6, goal)).to be(true)
    expect(check.reached?([right] * 5, goal)).to be(false)
    expect(check.reached?(([right] * 5) + ([low] * 2) + [shown], goal)).to be(false)
    expect(check.reached?(([right] * 4) + ([low] * 2), goal)).to be(true)
  end

  it "gets to know a class that was not heard: nothing new, no check, adding and then taking away, four beside" do
    unheard = standing(("a".."j").to_h { |name| [name, {}] })
    known = week(aim("add", "bridge", 4), unheard)
    expect([known.check, known.days.filter_map(&:new_thing)]).to eq([nil, []])
    stories = known.days.map { |day| day.parts.find { |part| part.role == :focus } }
    expect(stories.map { |part| place(part.range) }.max).to be <= place("to10")
    expect(known.outlook.check_ins.values.map(&:size)).to eq([4, 4, 2])
    expect(known.days.map { |day| day.parts.map(&:role).include?(:check) }.uniq).to eq([false])
  end

  it "brings out a slip that three children share, by name, on one part of the week" do
    slip = Rungs::Planning::SharedSlip.new(id: "start_counted", names: %w[Ada Bo Cleo])
    parts = week(aim("add", "bridge", 2), slips: [slip]).days.flat_map(&:parts)
    told = parts.select { |part| part.reason.include?("Ada, Bo and Cleo") }
    expect(told.map { |part| part.kind.slips.include?("start_counted") }).to eq([true])
  end

  it "tells of an invented child who makes it, where two ways can be told, and no real name is in it" do
    slip = Rungs::Planning::SharedSlip.new(id: "start_counted", names: %w[Ada Bo Cleo])
    settings = { names: -> { Rungs::Problem::Story::NAMES.first(5) } }
    part = week(aim("add", "bridge", 4), slips: [slip], settings: settings).days[1].parts.find(&:slip)
    expect([part.kind.id, part.fixed, part.options["form"]]).to eq(["whose_way", true, "one_slipped"])
    ways = part.items.map { |data| data[:ways] }
    expect(ways.map { |_, wrong| wrong[:slip] }.uniq).to eq(["start_counted"])
    expect(ways.flatten.map { |way| way[:child] } & settings[:names].call).to eq([])
    made = part.kind.with(part.options)
    expect(part.items.map { |data| made.item(data).answer }).not_to eq(ways.map { |_, wrong| wrong[:answer] })
  end

  it "has the sign for taking away met first, for one day, where the class knows plus" do
    told = lambda do |signs, met = {}|
      days = week(aim("subtract", "to10", 2), settings: { signs: signs }, met: met).days
      days.map { |day| day.parts.find { |part| part.role == :focus }.kind.id }
    end
    expect(told.call("plus_equals").chunk_while { |one, other| one == other }.map(&:size).first).to eq(1)
    expect(told.call("plus_equals")).to start_with("meet_a_sign").and include("jump_track")
    expect([told.call("all"), told.call("plus", everything)].flatten).not_to include("meet_a_sign")
  end

  it "brings it out in a short warm-up where nothing for the aim makes it" do
    slip = Rungs::Planning::SharedSlip.new(id: "one_short", names: %w[Ada Bo Cleo])
    wanted = week(aim("add", "tens", 3), slips: [slip], met: everything).days[1].parts
    told = wanted.select { |part| part.reason.include?("Ada, Bo and Cleo") }
    expect(told.map { |part| [part.role, part.minutes, part.kind.slips.include?("one_short")] })
      .to eq([[:warm_up, 4, true]]).or eq([[:practise, 5, true]])
  end

  it "tells one story of the other operation in a week, however many there are" do
    [15, 20, 25, 40].product([2, 3, 4, 5]).each do |time, days|
      asked = week(aim("add", "to10", 3), minutes: time, days: days).days.flat_map(&:parts)
      told = asked.select { |part| part.role == :story }.map do |part|
        Rungs::Problem::Situation::ALL.fetch(part.options["situation"]).operation
      end
      next if told.size < 2

      expect(told.count("subtract")).to be_between(1, 2), "#{time} #{days} #{told}"
    end
  end

  it "takes the next best that fits in the place of a part, until there is none" do
    beside, taken = [Rungs::Activity::ALL.fetch("quick_look")], []
    goal = aim("add", "to10", 3)
    while (part = week(goal, days: 1, without: taken).next_best(:focus, beside: beside))
      expect(taken).not_to include(part.kind.id)
      expect([part.role, part.kind.suits.aim?(goal)]).to eq([:focus, true])
      taken << part.kind.id
    end
    expect(taken.size).to be > 4
    stories = %w[add_to.result together.total].map { |id| "story_time #{id}" }
    expect(week(goal, days: 1, without: stories.first(1)).next_best(:story)&.options.to_h["situation"])
      .not_to eq("add_to.result")
  end

  it "knows the place in a day of what a teacher put there" do
    roles = Rungs::Activity::ALL.to_h { |kind| [kind.id, Rungs::Planning::Candidates.role_of(kind)] }
    expect(roles).to include("quick_look" => :warm_up, "story_time" => :story, "two_cards" => :practise,
                             "twins" => :focus, "whose_way" => :look_back)
  end

  it "proposes last what needs things that are not there" do
    goal = aim("add", "to10", 3)
    first = week(goal).days.first.new_thing.kind
    things = Rungs::Activity::ALL.flat_map { |kind| kind.materials.map(&:thing) }.uniq
    others = week(goal, has: things - first.materials.map(&:thing)).days.filter_map(&:new_thing).map(&:kind)
    expect(others).not_to include(first)
  end
end

RSpec.describe Rungs::Planning::Reasons do
  include ClassAsAWeekBegins

  it "says of a range that is new how many of the class have answered twice in it" do
    goal = aim("add", "to20", 3)
    said = ->(class_of) { described_class.new(class_of, goal, nil, news: true).focus([]) }
    expect(said.call(alike(4, "to10", 3)))
      .to eq("New numbers for this class: nobody of 4 has answered twice in them.")
    expect(said.call(alike(3, "to20", 2))).to eq("New numbers for this class: 3 of 3 have answered twice in them.")
  end
end

RSpec.describe Rungs::Planning::SharedSlip do
  let(:monday) { Date.new(2026, 11, 30) }

  def answers(*slips) = slips.each_with_index.map { |slip, at| [monday - 20 + at, %w[start_counted one_short], slip] }

  it "is of three children or more who made it twice in four weeks, and were not right twice since" do
    twice = answers("start_counted", "start_counted")
    among = ->(children) { described_class.among(children, on: monday).map { |each| [each.id, each.names] } }
    expect(among.call("Ada" => twice, "Bo" => twice)).to eq([])
    expect(among.call("Ada" => twice, "Bo" => twice, "Cai" => twice)).to eq([["start_counted", %w[Ada Bo Cai]]])
    over = answers("start_counted", "start_counted", nil, nil)
    expect(among.call("Ada" => twice, "Bo" => twice, "Cai" => over)).to eq([])
    once = answers("start_counted", "start_counted", nil, "one_short")
    expect(among.call("Ada" => twice, "Bo" => twice, "Cai" => once).first[1]).to eq(%w[Ada Bo Cai])
    long_ago = twice.map { |day, *more| [day - 10, *more] }
    expect(among.call("Ada" => twice, "Bo" => twice, "Cai" => long_ago)).to eq([])
  end
end

RSpec.describe Rungs::Planning::Widening do
  include ClassAsAWeekBegins

  def offer(children, band = "to10", **more)
    described_class.offer(standing(children.transform_values { |rungs| { band => rungs } }, **more), band)
  end

  it "offers the next range where enough are ready, and names who is not, and what for" do
    class_of = ("a".."i").to_h { |name| [name, [3] * 6] }
    found = offer(class_of.merge("slow" => [1] * 6, "new" => [3, 3]))
    expect(found).to have_attributes(following: "teens", ready: 9, enough: 10, all: 11)
    expect(found.waiting).to eq("slow" => "still counting all", "new" => "not heard enough")
  end

  it "offers nothing too early: two thirds with enough records, and four fifths of these ready" do
    ready, few, slow = [3] * 6, [3, 3], [1] * 6
    expect(offer({ "a" => ready, "b" => ready, "c" => few })).not_to be_nil
    expect(offer({ "a" => ready, "b" => few, "c" => few })).to be_nil
    expect(offer({ "a" => ready, "b" => ready, "c" => ready, "d" => slow })).to be_nil
    expect(offer({ "a" => ready, "b" => ready, "c" => ready, "d" => ready, "e" => slow }).ready).to eq(4)
    expect(offer({})).to be_nil
    expect(offer({ "a" => ready }, "to100")).to be_nil
    expect(offer({ "a" => ready }, "teens", year: "kindergarten")).to be_nil
  end

  it "asks for parts and wholes from ten on, of beginners for nothing to five" do
    expect([offer({ "a" => [2] * 6 }), offer({ "a" => [2] * 6 }, "bridge")]).to eq([nil, nil])
    expect([offer({ "a" => [3] * 6 }, "bridge"),
            offer({ "a" => [1] * 6 }, "to5")].map(&:following)).to eq(%w[tens to10])
  end
end

RSpec.describe Rungs::Planning::Bring do
  def material(per, count)
    Rungs::Activity::Material.new(thing: "counters", per: per, count: count, instead: "buttons")
  end

  it "counts for everybody, each pair, each group or the class, with a tenth to spare of what is small" do
    amounts = { %w[child] => 22 * 10, %w[pair] => 11 * 10, %w[group] => 6 * 10, %w[class] => 10 }
    amounts.each do |(per), in_all|
      expect(described_class.amount(material(per, 10), 22)).to eq((in_all * Rational(11, 50)).ceil * 5)
    end
    expect(described_class.amount(material("pair", 2), 7)).to eq(8)
    expect(described_class.amount(material("child", 20), 22)).to eq(245)
    expect((1..35).map { |children| described_class.amount(material("child", 20), children) }.max).to be < 500
  end

  it "asks for as many pieces as the largest item needs, and for counters once however they are used" do
    laid = lambda do |id, options|
      kind = Rungs::Activity::ALL.fetch(id).with(options)
      [kind, kind.data(seed: 3, count: 6)]
    end
    kind, data = laid.call("two_groups", { "to" => 5 })
    largest = data.map { |item| item[:first] + item[:second] }.max
    expect(kind.materials_for(data).map(&:count)).to eq([largest])
    expect(kind.materials_for([]).map(&:count)).to eq([20])
    both = described_class.for([[kind, data], laid.call("toss", { "n" => 8 })], children: 10)
    expect(both.map { |each| [each.thing, each.in_all] }).to eq([["counters", 55], ["cup", 5]])
    expect(laid.call("jump_track", {}).then { |track, items| track.materials_for(items) }).to eq(
      Rungs::Activity::ALL.fetch("jump_track").materials
    )
  end

  it "asks for as many beads as are hidden among" do
    kinds = [5, 20, 10].map { |whole| Rungs::Activity::ALL.fetch("hidden_beads").with("whole" => whole) }
    expect(kinds.map { |kind| kind.materials.map(&:count) }).to eq([[5], [20], [10]])
    expect(described_class.for(kinds, children: 10).map(&:in_all)).to eq([110])
  end

  it "lists each thing once, as many as the activity that needs most" do
    things = described_class.for(Rungs::Activity::ALL.to_a, children: 22)
    expect(things.map(&:thing)).to eq(things.map(&:thing).uniq)
    expect(things.map(&:in_all)).to all(be_positive)
  end
end
