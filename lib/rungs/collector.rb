# frozen_string_literal: true

module Rungs
  # How many throws to expect until everything asked for has come, exactly.
  #
  #   Collector.new({ heads: Rational(1, 2), tails: Rational(1, 2) }).expected  # => (3/1)
  class Collector
    # @param chances [Hash{Object => Rational}] of what can come, together 1
    # @param wanted [Hash{Object => Integer}] how often each must come; once each where nothing else is said
    def initialize(chances, wanted = chances.transform_values { 1 })
      @chances = chances
      @wanted = wanted
    end

    # Each kind comes as if by itself in a time of its own (Poisson); the time until all have come, with a throw a unit,
    # is the integral of the chance that some has not. Over all subsets of kinds that have not: ∫ tᵏ e^(−Pt) dt = k! /
    # P^(k+1).
    # @return [Rational]
    def expected
      terms = [[Rational(0), [Rational(-1)]]]
      @wanted.each do |kind, times|
        chance = @chances.fetch(kind)
        terms += terms.map { |rate, series| missing(rate, series, chance, times) }
      end
      terms.drop(1).sum { |rate, series| integral(rate, series) }
    end

    private

    # The same terms where this kind has not come often enough yet: one term with the sign turned.
    def missing(rate, series, chance, times)
      few = (0...times).map { |came| (chance**came) / factorial(came) }
      product = Array.new(series.size + few.size - 1, Rational(0))
      series.each_with_index { |a, i| few.each_with_index { |b, j| product[i + j] -= a * b } }
      [rate + chance, product]
    end

    def integral(rate, series) = series.each_with_index.sum { |a, power| a * factorial(power) / (rate**(power + 1)) }
    def factorial(number) = (1..number).reduce(1, :*)
  end
end
