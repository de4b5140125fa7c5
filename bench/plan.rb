# frozen_string_literal: true

# How long a proposed week takes, over many simulated classes: each with its range, what it has met, and what slipped.
# The first of each aim is told apart: what is the same for every class is found then.
require_relative "../lib/rungs"
require_relative "size"

CLASSES = Size.of(200, 10)

# An answer, as a standing takes it.
Told = Struct.new(:operation, :band, :record) do
  def missing_part? = false
end

random = Random.new(7)
monday = Date.new(2026, 11, 30)
bands, ids = Rungs::Planning::Widening::ORDER, Rungs::Activity::ALL.ids
slips = Rungs::Activity::ALL.flat_map(&:slips).uniq
aims = {}
took = Array.new(CLASSES) do |seed|
  met = ids.sample(random.rand(0..ids.size), random: random).to_h do |id|
    [["activity", id], monday - random.rand(1..90)]
  end
  range, operation = bands.sample(random: random), %w[add subtract].sample(random: random)
  facts = Rungs::Problem::Band::ALL.fetch(range).telling_facts
  children = (1..22).to_h do |at|
    [at, Array.new(random.rand(0..12)) do |back|
      record = Rungs::Progress::Record.new(day: monday - 13 + back, rung: random.rand(1..4), affords: [1, 2, 3, 4, 5],
                                           fact: facts[back % facts.size], tells: true, right: random.rand < 0.8,
                                           help: "alone")
      Told.new(operation, range, record)
    end]
  end
  slip = Rungs::Planning::SharedSlip.new(id: slips.sample(random: random), names: [1, 2, 3])
  started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  standing = Rungs::Planning::Standing.of(children, operation: operation, on: monday)
  aim = Rungs::Planning::Aim.new(operation: operation, range: range,
                                 rung: Rungs::Planning::Aim.row(range).sample(random: random))
  Rungs::Planning::ProposedWeek.new(days: Rungs::SchoolDays.from(monday, 5), seed: seed, met: met, aim: aim,
                                    standing: standing, slips: [slip]).days
  (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started).then { |seconds| [aims.key?(aim), seconds * 1000] }
                                                             .tap { aims[aim] = true }
end
cold, took = took.partition { |met_before, _| !met_before }.map { |all| all.map(&:last).sort }
exit 0 if took.empty?
most = took[took.size * 95 / 100]
puts format("%<many>d classes: a week in %<middle>.0f ms (median), %<most>.0f ms (95 of 100), %<cold>.0f ms (first)",
            many: CLASSES, middle: took[took.size / 2], most: most, cold: cold.sum / cold.size)
exit 1 if most > 150 && !Size.small?
