# frozen_string_literal: true

require_relative "../../lib/rungs"

# What a problem affords follows the moves there are, which have become more; estimates are made again from the records.
Sequel.migration do
  up do
    equations = from(:problems).select(:situation, :parts, :unknown, :equation).distinct.all
    equations.each do |row|
      parts = row[:parts].to_a
      equation = row[:situation] ? nil : Rungs::Problem::Equation.parse(row[:equation])
      problem = Rungs::Problem.new(situation: row[:situation], parts: parts, unknown: row[:unknown].to_sym,
                                   equation: equation)
      from(:problems).where(row).update(affords: Sequel.lit("?::integer[]", "{#{problem.affords.join(',')}}"))
    end
    %i[estimates estimate_steps tallies].each { |table| from(table).delete }
  end

  down { nil }
end
