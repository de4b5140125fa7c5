# frozen_string_literal: true

# Records of made-up children, told by their equations.
module Heard
  START = Date.new(2026, 10, 1)

  # @param text [String] "6 + 3", "12 − 5", "7 + ? = 12"
  # @param rung [Integer, nil]
  # @param day [Integer] after START
  # @return [Rungs::Progress::Record]
  def heard(text, rung, day: 0, help: "alone", right: true)
    asked = problem(text.include?("=") ? text : "#{text} = ?")
    Rungs::Progress::Record.on(asked, day: START + day, rung: rung, help: help, right: right)
  end

  # @param day [Integer] after START; that of the last record where it is not said
  def estimate_of(records, band: "to10", operation: "add", day: nil)
    on = day ? START + day : records.map(&:day).max || START
    Rungs::Progress::Estimate.of(records, on: on, scope: Rungs::Progress::Scope.of(operation, band))
  end

  # Any answers in a range, by chance: helped, wrong, off the ladder, on easy facts too.
  # @return [Array<Rungs::Progress::Record>]
  def any_records(random, count, operation: "add", band: "to10")
    facts, day = Rungs::Problem::Band::ALL.fetch(band).pairs, 0
    Array.new(count) do
      asked = Rungs::Problem::Pool.bare(operation, *facts.sample(random: random))
      rung = [nil, *asked.affords].sample(random: random)
      help = %w[alone alone alone prompted shown].sample(random: random)
      Rungs::Progress::Record.on(asked, day: START + (day += [0, 0, 1, 3, 30].sample(random: random)), rung: rung,
                                        help: help, right: random.rand < 0.8)
    end
  end
end

RSpec.configure { |config| config.include Heard }
