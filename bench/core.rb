# frozen_string_literal: true

# The figures of the core, each with its ratio to the least that plain Ruby would have to do for it: build the same
# strings or walk the same numbers with no rules at all.
require_relative "../lib/rungs"
require_relative "measure"

measure = Measure.new

problems = (0..20).flat_map { |p| (0..20 - p).map { |q| Rungs::Problem.new(parts: [p, q], unknown: :whole) } }
wrong = problems.flat_map do |problem|
  [problem, problem, problem].zip([-1, 1, 10]).map do |each, off|
    [each, [each.whole + off, 0].max]
  end
end
diagnoses = measure.seconds do
  wrong.each do |problem, answer|
    Rungs::Slip::Diagnosis.new(problem, answer).slips
  end
end / wrong.size
bare = measure.seconds do
  wrong.each do |problem, answer|
    Array.new(16) do |index|
      problem.whole + index == answer
    end
  end
end / wrong.size
measure.figure("diagnoses", 1 / diagnoses, "a second", floor: 20_000)
measure.figure("diagnoses ratio", diagnoses / bare, "times 16 comparisons")

pools = %w[to5 to10 teens
           bridge].flat_map do |band|
  %w[add_to.result take_from.change compare.bigger.fewer].flat_map do |situation|
    Rungs::Problem::Pool.new(situation: situation, band: band).problems
  end
end
random = Random.new(1)
stories = measure.seconds do
  3000.times do |index|
    Rungs::Problem::Story.write(pools[index % pools.size], random: random).text
  end
end / 3000
format = measure.seconds do
  3000.times do |index|
    Kernel.format("%s has %d shells. %s finds %d more. How many shells does %s have?", "Ada", index % 9, "Bo",
                  index % 7,
                  "Ada")
  end
end / 3000
measure.figure("stories", 1 / stories, "a second", floor: 3000)
measure.figure("stories ratio", stories / format, "times one format")

square = measure.seconds { Rungs::Progress::Square.new(20) }
table = measure.seconds { (0..20).each { |p| (0..20).each { |q| Array.new(25) { |move| p + q + move }.min } } }
measure.figure("square of 0 to 20", square * 1000, "ms", ceiling: 50)
measure.figure("square ratio", square / table, "times a table of 25 sums a cell")

measure.finish
