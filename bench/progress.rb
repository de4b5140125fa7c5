# frozen_string_literal: true

# Does the estimate tell the truth? Made-up children whose rung is known, over a school year; beside the rule two
# rivals: the commonest rung of the last five records, and the highest ever seen.
require "date"
require_relative "../lib/rungs"
require_relative "measure"

# Five such schools of 200 children, so that a tenth with few cases is not judged by a handful of them.
CHILDREN, DAYS, WAIT, MEAN = Size.of(200 * 5, 60), 180, 20, 60
SHOWN = { 0 => 0.70, -1 => 0.18, 1 => 0.09, -2 => 0.03 }.freeze
START = Date.new(2026, 1, 1)
ALL = [1, 2, 3, 4, 5].freeze

# One made-up child: the rung it mostly uses on each day, and what is heard of it.
class MadeUp
  attr_reader :levels, :moves

  def initialize(random)
    @random = random
    @levels, @moves = [], {}
    level, following = random.rand(1..3), wait
    DAYS.times do |day|
      if day >= following
        before = level
        level = (level + (random.rand < 0.125 ? -1 : 1)).clamp(1, 5)
        @moves[day] = level <=> before unless level == before
        following = day + wait
      end
      @levels << level
    end
  end

  # @param gap [Integer] days between two records, on average
  # @yield → what the next problem affords
  def records(gap)
    (0...DAYS).select { @random.rand < 1.0 / gap }.map do |day|
      affords = yield
      Rungs::Progress::Record.new(day: START + day, rung: miscoded(seen(@levels[day], affords)), affords: affords,
                                  fact: [1, 1], right: true, help: "alone")
    end
  end

  private

  def wait = WAIT - (MEAN * Math.log(1 - @random.rand))

  def seen(level, affords)
    chances = (affords | [5]).to_h do |rung|
      [rung, SHOWN.fetch(rung - level, 0)]
    end.select { |_, chance| chance.positive? }
    return affords.min_by { |rung| (rung - level).abs } if chances.empty?

    left = @random.rand * chances.values.sum
    chances.find { |_, chance| (left -= chance) <= 0 }&.first || chances.keys.last
  end

  def miscoded(rung) = @random.rand < 0.1 ? (rung + [-1, 1].sample(random: @random)).clamp(1, 5) : rung
end

# What one way of judging says after each record: [rung, confidence].
RULE = lambda do |records|
  filter = Rungs::Progress::Filter.start
  records.map { |record| (filter = filter.hear(record)) && [filter.likeliest, filter.probabilities.max] }
end
IGNORING = ->(records) { RULE.call(records.map { |record| record.dup.tap { |each| each.affords = ALL } }) }
COMMONEST = lambda { |records|
  records.each_index.map do |index|
    [records[[index - 4, 0].max..index].map(&:rung).tally.max_by do |rung, count|
      [count, -rung]
    end.first, nil]
  end
}
HIGHEST = ->(records) { records.each_index.map { |index| [records[0..index].map(&:rung).max, nil] } }

# How often right, and how many records after a real move it is noticed (up, down).
def judge(way, heard)
  right, cases, noticed = 0, 0, { 1 => [], -1 => [] }
  heard.each do |child, records|
    said = way.call(records)
    records.each_with_index do |record, index|
      next if index.zero?

      cases += 1
      right += 1 if said[index][0] == child.levels[(record.day - START).to_i]
    end
    lags(child, records, said) { |direction, lag| noticed[direction] << lag }
  end
  { right: right.fdiv(cases), up: mean(noticed[1]), down: mean(noticed[-1]), move: mean(noticed.values.flatten),
    said: cases }
end

# For each move, how many records it took until the new rung was said; those before the next move only.
def lags(child, records, said)
  days = child.moves.keys + [DAYS]
  child.moves.each_with_index do |(day, direction), index|
    after = records.each_index.select { |place| (records[place].day - START).to_i.between?(day, days[index + 1] - 1) }
    next if after.empty?

    found = after.index { |place| said[place][0] == child.levels[day] }
    yield direction, (found ? found + 1 : after.size + 1)
  end
end

def mean(numbers) = numbers.empty? ? 0.0 : numbers.sum.fdiv(numbers.size)

def calibration(heard)
  bins = Hash.new { |all, tenth| all[tenth] = [] }
  heard.each do |child, records|
    RULE.call(records).zip(records).drop(1).each do |(rung, sure), record|
      bins[[(sure * 10).floor, 9].min] << [sure, rung == child.levels[(record.day - START).to_i] ? 1 : 0]
    end
  end
  bins.sort.map { |tenth, cases| [tenth, cases.size, mean(cases.map(&:first)), mean(cases.map(&:last))] }
end

measure = Measure.new
random = Random.new(Integer(ARGV.fetch(1, 2026)))
[2, 5].each do |gap|
  heard = Array.new(CHILDREN) { MadeUp.new(random) }.to_h { |child| [child, child.records(gap) { ALL }] }
  rule, commonest, highest = [RULE, COMMONEST, HIGHEST].map { |way| judge(way, heard) }
  puts "heard every #{gap} days, #{rule[:said]} judgements"
  measure.figure("  working rung right", rule[:right] * 100, "of 100",
                 floor: ([commonest[:right], highest[:right]].max * 100) + 5)
  measure.figure("  commonest of the last five right", commonest[:right] * 100, "of 100")
  measure.figure("  highest ever seen right", highest[:right] * 100, "of 100")
  measure.figure("  a move noticed after", rule[:move],
                 "records (up #{rule[:up].round(2)}, down #{rule[:down].round(2)})", ceiling: commonest[:move])
  measure.figure("  by the commonest of five after", commonest[:move],
                 "records (up #{commonest[:up].round(2)}, down #{commonest[:down].round(2)})")
  measure.figure("  by the highest ever seen after", highest[:move],
                 "records (up #{highest[:up].round(2)}, down #{highest[:down].round(2)})")
  calibration(heard).each do |tenth, cases, sure, right|
    off = (right - sure).abs * 100
    measure.figure("  sure 0.#{tenth}: #{cases} cases, right", right * 100, "of 100 (said #{(sure * 100).round})")
    measure.figure("  sure 0.#{tenth}: off by", off, "points", ceiling: (tenth >= 5 && cases >= 200 ? 5.0 : nil))
  end
end

# Problems of mixed bands: what a problem does not afford says nothing about that rung.
pools = %w[to5 to10 bridge].map { |band| Rungs::Problem::Pool.new(situation: "add_to.result", band: band).problems.map(&:affords) }
heard = Array.new(CHILDREN) { MadeUp.new(random) }.to_h do |child|
  [child, child.records(2) do
            pools.sample(random: random).sample(random: random)
          end]
end
minding, ignoring = [RULE, IGNORING].map { |way| judge(way, heard)[:right] * 100 }
puts "problems mixed over bands"
measure.figure("  right, minding what problems afford", minding, "of 100")
measure.figure("  right, ignoring it", ignoring, "of 100", ceiling: minding)

# What a person's table of confusions changes where it counts: for one who takes a neighbour for the rung in 3 of 10,
# and for one who seldom does. The table is of 240 clips of their own.
{ "a careless person" => 0.7, "a careful person" => 0.97 }.each do |who, right|
  ear = lambda do |rung|
    random.rand < right ? rung : [rung - 1, rung + 1].grep(1..5).sample(random: random)
  end
  ids = Rungs::Clip::Agreement::RUNGS
  table = Rungs::Clip::Confusions.new(Array.new(240) { |clip| [ids[clip % 5], ids[ear.call((clip % 5) + 1) - 1]] })
  children = Array.new(CHILDREN) { MadeUp.new(random) }
  plain = children.to_h { |child| [child, child.records(2) { ALL }.each { |each| each.rung = ear.call(each.rung) }] }
  minded = plain.transform_values { |records| records.map { |each| each.dup.tap { |one| one.ear = table } } }
  without, with = [plain, minded].map { |heard| judge(RULE, heard)[:right] * 100 }
  puts "heard by #{who}"
  measure.figure("  right, the table not counted", without, "of 100")
  measure.figure("  right, the table counted", with, "of 100")
end

# What is forecast before each record, beside two rivals: 0.8 on the rung of last time, and how the class works.
LAST_TIME = lambda do |last, shown|
  next shown.to_h { |rung| [rung, 1.0 / shown.size] } unless shown.include?(last)

  shown.to_h { |rung| [rung, rung == last ? 0.8 : 0.2 / (shown.size - 1)] }
end
THE_CLASS = lambda do |times, shown|
  all = shown.sum { |rung| times[rung] + 1 }
  shown.to_h { |rung| [rung, (times[rung] + 1).fdiv(all)] }
end

bins = Hash.new { |all, tenth| all[tenth] = [] }
scores = Hash.new { |all, way| all[way] = [] }
times = Hash.new(0)
Array.new(CHILDREN) { MadeUp.new(random) }.each do |child|
  filter, last = Rungs::Progress::Filter.start, nil
  child.records(3) { [[1, 2, 3], [1, 2, 3, 4], ALL].sample(random: random) }.each do |record|
    told = Rungs::Progress::Estimate.new([], on: record.day, filter: filter)
    chances = Rungs::Progress::Forecast.chances(told, record.affords)
    if chances&.key?(record.rung)
      chances.each { |rung, chance| bins[[(chance * 10).floor, 9].min] << [chance, rung == record.rung ? 1 : 0] }
      { forecast: chances, last: LAST_TIME.call(last, chances.keys),
        class: THE_CLASS.call(times, chances.keys) }.each { |way, all| scores[way] << Math.log(all[record.rung]) }
    end
    filter, last = filter.hear(record), record.rung
    times[record.rung] += 1
  end
end
puts "forecasts, #{scores[:forecast].size} records"
bins.sort.each do |tenth, cases|
  off = (mean(cases.map(&:last)) - mean(cases.map(&:first))).abs * 100
  measure.figure("  given 0.#{tenth}: #{cases.size} things, off by", off, "points",
                 ceiling: (cases.size >= 200 ? 5.0 : nil))
end
measure.figure("  logarithmic score", mean(scores[:forecast]), "a record",
               floor: [mean(scores[:last]), mean(scores[:class])].max)
measure.figure("  as last time", mean(scores[:last]), "a record")
measure.figure("  as the class", mean(scores[:class]), "a record")
measure.finish
