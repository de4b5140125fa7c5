# frozen_string_literal: true

# Does the estimate tell the truth? Made-up children over a school year, in two kinds of world: where facts become known
# one by one and easy ones are among what is asked, and where nothing is ever known and only the ways of working things
# out move. Beside the rule two rivals: the commonest rung of the last five records, and the highest ever seen.
require "date"
require_relative "../lib/rungs"
require_relative "measure"
require_relative "worlds"

CHILDREN = Size.of(400, 30)
# Records after which a child is judged.
FROM = 4

# What one way of judging says after each record: [rung or nil, confidence].
RULE = lambda do |records, scope|
  said = []
  Rungs::Progress::Running.through(records, scope) do |running, record|
    said << running.estimate(on: record.day).then { |told| [told.working, told.confidence] }
  end
  said
end
COMMONEST = lambda do |records, _|
  records.each_index.map do |index|
    last = records[[index - 4, 0].max..index].map(&:rung).tally
    [last.max_by { |rung, count| [count, -rung] }.first, nil]
  end
end
HIGHEST = ->(records, _) { records.each_index.map { |index| [records[0..index].map(&:rung).max, nil] } }

def mean(numbers) = numbers.empty? ? 0.0 : numbers.sum.fdiv(numbers.size)

# After each record from the FROMth on: what was said, how sure, and what is true.
def judgements(way, heard)
  heard.flat_map do |child, records|
    way.call(records, child.scope).zip(records).drop(FROM - 1).map do |(rung, sure), record|
      [rung, sure, child.truth((record.day - Worlds::START).to_i)]
    end
  end
end

def shares(cases)
  said = cases.select(&:first)
  { said: 100 * said.size.fdiv(cases.size), right: 100 * said.count { |rung, _, truth| rung == truth }.fdiv(said.size),
    high: 100 * said.count { |rung, _, truth| rung > truth }.fdiv(said.size) }
end

def calibration(measure, cases)
  tenths = cases.select(&:first).group_by { |_, sure, _| [(sure * 10).floor, 9].min }
  tenths.sort.each do |tenth, those|
    sure, right = mean(those.map { |each| each[1] }), mean(those.map { |each| each[0] == each[2] ? 1 : 0 })
    measure.figure("  sure 0.#{tenth}: #{those.size} cases, said #{(sure * 100).round}, right", right * 100, "of 100")
  end
end

# Records after a real move until it is said, those before the next move only.
def lag(way, heard)
  lags = heard.flat_map do |child, records|
    said, days = way.call(records, child.scope), child.moves.keys + [Worlds::DAYS]
    days.each_cons(2).filter_map do |from, to|
      after = records.each_index.select { |at| (records[at].day - Worlds::START).to_i.between?(from, to - 1) }
      after.any? && ((after.index { |at| said[at][0] == child.levels[from] } || after.size) + 1)
    end
  end
  mean(lags)
end

measure = Measure.new
random = Random.new(Integer(ARGV.fetch(1, 2026)))
world = lambda do |band, gap, learning|
  children = Array.new(CHILDREN) { Worlds::Child.new(random, band: band, learning: learning) }
  children.to_h { |child| [child, child.records(gap)] }
end

{ "to10" => 160, "teens" => 140, "bridge" => 300 }.each do |band, learning|
  heard = world.call(band, 4, learning)
  cases = judgements(RULE, heard)
  rule, commonest, highest = [cases, *[COMMONEST, HIGHEST].map do |way|
    judgements(way, heard)
  end].map { |all| shares(all) }
  puts "facts known one by one, #{band}: #{cases.size} judgements"
  measure.figure("  said", rule[:said], "of 100", floor: 85)
  measure.figure("  right, of those said", rule[:right], "of 100", floor: 70)
  measure.figure("  too high", rule[:high], "of 100", ceiling: 8)
  { "commonest of the last five" => commonest, "highest ever seen" => highest }.each do |name, told|
    measure.figure("  #{name}: right", told[:right], "of 100, too high #{told[:high].round}")
  end
  calibration(measure, cases)
end

[2, 5].each do |gap|
  heard = world.call("bridge", gap, nil)
  cases, commonest = [RULE, COMMONEST].map { |way| judgements(way, heard) }
  puts "nothing known, heard every #{gap} days: #{cases.size} judgements"
  measure.figure("  right, of those said", shares(cases)[:right], "of 100", floor: shares(commonest)[:right])
  measure.figure("  said", shares(cases)[:said], "of 100", floor: 85)
  measure.figure("  a move noticed after", lag(RULE, heard), "records", ceiling: lag(COMMONEST, heard) + 1)
  calibration(measure, cases)
end

# What a person's table of confusions changes where it counts: for one who takes a neighbour for the rung in 3 of 10,
# and for one who seldom does. The table is of 240 clips of their own.
{ "a careless person" => 0.7, "a careful person" => 0.97 }.each do |who, right|
  ear = ->(rung) { random.rand < right ? rung : [rung - 1, rung + 1].grep(1..5).sample(random: random) }
  ids = Rungs::Clip::Agreement::RUNGS
  table = Rungs::Clip::Confusions.new(Array.new(240) { |clip| [ids[clip % 5], ids[ear.call((clip % 5) + 1) - 1]] })
  plain = world.call("bridge", 3, nil)
  plain.each_value { |records| records.each { |each| each.rung = ear.call(each.rung) } }
  minded = plain.transform_values { |records| records.map { |each| each.dup.tap { |one| one.ear = table } } }
  without, with = [plain, minded].map { |heard| shares(judgements(RULE, heard))[:right] }
  puts "heard by #{who}"
  measure.figure("  right, the table not counted", without, "of 100")
  measure.figure("  right, the table counted", with, "of 100")
end

# What is forecast before each record, beside how the class works.
bins, scores, times = Hash.new { |all, tenth| all[tenth] = [] }, { forecast: [], class: [] }, Hash.new(1)
world.call("to10", 4, 160).each do |child, records|
  facts, running = {}, Rungs::Progress::Running.start(child.scope)
  records.each do |record|
    asked = { affords: record.affords, tells: record.tells, fact: facts[record.exact] }
    chances = Rungs::Progress::Forecast.chances(running.estimate(on: record.day), **asked)
    if chances&.key?(record.rung)
      chances.each { |rung, chance| bins[[(chance * 10).floor, 9].min] << [chance, rung == record.rung ? 1 : 0] }
      scores[:forecast] << Math.log(chances[record.rung])
      scores[:class] << Math.log(times[record.rung].fdiv(chances.keys.sum { |rung| times[rung] }))
    end
    running = running.hear(record, facts[record.exact])
    facts[record.exact] = Rungs::Progress::Knowing.after(facts[record.exact], record) if record.about_fact?
    times[record.rung] += 1
  end
end
puts "forecasts, #{scores[:forecast].size} records"
bins.sort.each do |tenth, cases|
  off = (mean(cases.map(&:last)) - mean(cases.map(&:first))).abs * 100
  measure.figure("  given 0.#{tenth}: #{cases.size} things, off by", off, "points")
end
measure.figure("  logarithmic score", mean(scores[:forecast]), "a record", floor: mean(scores[:class]))
measure.figure("  as the class", mean(scores[:class]), "a record")
measure.finish
