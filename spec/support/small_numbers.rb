# frozen_string_literal: true

# Every case of a small space.
module SmallNumbers
  def pairs_to(whole) = (0..whole).flat_map { |first| (0..whole - first).map { |second| [first, second] } }

  # One situation of each kind that is worked differently: a whole, taking away, a missing part, two rows, both parts.
  KINDS = %w[add_to.result take_from.result take_from.change add_to.change compare.difference.more together.both].freeze

  # Every situation (or those) with every pair of parts that it can tell.
  def problems_to(whole, situations: Rungs::Problem::Situation::ALL.ids)
    Rungs::Problem::Situation::ALL.select { |situation| situation.sizes == [2] && situations.include?(situation.id) }.flat_map do |situation|
      pairs_to(whole).select { |pair| situation.tells?(pair) }.map { |pair| Rungs::Problem.new(situation: situation.id, parts: pair, unknown: situation.unknown) }
    end
  end

  def problem(text) = Rungs::Problem::Equation.parse(text).to_problem
end

RSpec.configure { |config| config.include SmallNumbers }
