# frozen_string_literal: true

# Every case of a small space.
module SmallNumbers
  def pairs_to(whole) = (0..whole).flat_map { |first| (0..whole - first).map { |second| [first, second] } }

  # One situation of each kind that is worked differently: a whole, taking away, a missing part, two rows, both parts.
  KINDS = %w[add_to.result take_from.start take_from.result take_from.change add_to.change compare.difference.more
             together.both].freeze

  # Every situation (or those) with every pair of parts that it can tell.
  def problems_to(whole, situations: Rungs::Problem::Situation::ALL.ids)
    Rungs::Problem::Situation::ALL.select do |each|
      each.sizes == [2] && situations.include?(each.id)
    end.flat_map do |situation|
      pairs_to(whole).select { |pair| situation.tells?(pair) }.map { |pair| told(situation, pair) }
    end
  end

  # Larger ones, as chance has them, the same each time.
  def some_to_100(count, situations: KINDS)
    random = Random.new(4)
    large = pairs_to(100).select { |pair| pair.sum > 20 }
    Array.new(count) do
      told(Rungs::Problem::Situation::ALL.fetch(situations.sample(random: random)), large.sample(random: random))
    end
         .select { |problem| problem.situation.tells?(problem.parts) }
  end

  def told(situation, parts) = Rungs::Problem.new(situation: situation.id, parts: parts, unknown: situation.unknown)
  def problem(text) = Rungs::Problem::Equation.parse(text).to_problem
end

RSpec.configure { |config| config.include SmallNumbers }
RSpec::Matchers.define_negated_matcher :not_include, :include
