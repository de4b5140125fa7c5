# frozen_string_literal: true

# Every case of a small space.
module SmallNumbers
  def pairs_to(whole) = (0..whole).flat_map { |first| (0..whole - first).map { |second| [first, second] } }

  # Every basic situation with every pair of parts that it can tell.
  def problems_to(whole)
    Rungs::Problem::Situation::ALL.reject { |situation| situation.sizes == [3] }.flat_map do |situation|
      pairs_to(whole).select { |pair| situation.tells?(pair) }.map { |pair| Rungs::Problem.new(situation: situation.id, parts: pair, unknown: situation.unknown) }
    end
  end

  def problem(text) = Rungs::Problem::Equation.parse(text).to_problem
end

RSpec.configure { |config| config.include SmallNumbers }
