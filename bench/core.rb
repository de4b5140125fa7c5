# frozen_string_literal: true

# The figures of the core, each with its ratio to the least that plain Ruby would have to do for it: build the same strings
# or walk the same numbers with no rules at all.
require_relative "../lib/rungs"
require_relative "measure"

measure = Measure.new

problems = (0..20).flat_map { |p| (0..20 - p).map { |q| Rungs::Problem.new(parts: [p, q], unknown: :whole) } }
wrong = problems.flat_map { |problem| [problem, problem, problem].zip([-1, 1, 10]).map { |each, off| [each, [each.whole + off, 0].max] } }
diagnoses = measure.seconds { wrong.each { |problem, answer| Rungs::Slip::Diagnosis.new(problem, answer).slips } } / wrong.size
bare = measure.seconds { wrong.each { |problem, answer| Array.new(16) { |index| problem.whole + index == answer } } } / wrong.size
measure.figure("diagnoses", 1 / diagnoses, "a second", floor: 20_000)
measure.figure("diagnoses ratio", diagnoses / bare, "times 16 comparisons")

pools = %w[to5 to10 teens bridge].flat_map { |band| %w[add_to.result take_from.change compare.bigger.fewer].flat_map { |situation| Rungs::Problem::Pool.new(situation: situation, band: band).problems } }
random = Random.new(1)
stories = measure.seconds { 3000.times { |index| Rungs::Problem::Story.write(pools[index % pools.size], random: random).text } } / 3000
format = measure.seconds { 3000.times { |index| Kernel.format("%s has %d shells. %s finds %d more. How many shells does %s have?", "Ada", index % 9, "Bo", index % 7, "Ada") } } / 3000
measure.figure("stories", 1 / stories, "a second", floor: 3000)
measure.figure("stories ratio", stories / format, "times one format")

square = measure.seconds { Rungs::Strategy::Square.new(20) }
table = measure.seconds { (0..20).each { |p| (0..20).each { |q| Array.new(25) { |move| p + q + move }.min } } }
measure.figure("square of 0 to 20", square * 1000, "ms", ceiling: 50)
measure.figure("square ratio", square / table, "times a table of 25 sums a cell")

measure.finish
