# frozen_string_literal: true

# Made-up children whose truth is known, for what judges estimates and forecasts.
module Worlds
  DAYS = 180
  START = Date.new(2026, 1, 1)
  SHOWN = { 0 => 0.70, -1 => 0.18, 1 => 0.09, -2 => 0.03 }.freeze

  # One made-up child in one range: how it works things out on each day, and from which day it knows each fact.
  class Child
    # Days between two moves, on average, after some days at least; how many moves of a hundred lead down.
    MEAN = 60
    WAIT = 20
    DOWN = 0.125
    # Of what is asked, so much is easy; an easy fact is known so much sooner.
    EASY = 1 / 3r
    SOONER = 0.15

    attr_reader :levels, :moves, :scope

    # @param learning [Integer, nil] days until a fact that tells is known, on average; nil where nothing ever is
    def initialize(random, band:, learning:)
      @random = random
      @scope = Rungs::Progress::Scope.in_band(band)
      @asked = Rungs::Problem::Pool.of("add", band).problems.group_by(&:tells?)
      @learning = learning
      @learnt = {}
      climb
    end

    # The rung of the child on a day: 5 where three quarters of the facts that tell are known.
    def truth(day)
      facts = @asked.fetch(true).uniq(&:exact_fact)
      known = facts.count { |problem| learnt(problem) <= day }
      known * 4 >= facts.size * 3 && !scope.facts.nil? ? 5 : levels[day]
    end

    # @param gap [Integer] days between two records, on average
    # @return [Array<Rungs::Progress::Record>]
    def records(gap)
      (0...DAYS).select { @random.rand < 1.0 / gap }.map do |day|
        easy = @asked.key?(false) && @random.rand < EASY
        problem = @asked.fetch(!easy).sample(random: @random)
        Rungs::Progress::Record.on(problem, day: START + day, rung: miscoded(seen(problem, day)), help: "alone",
                                            right: @random.rand < 0.9)
      end
    end

    private

    def climb
      @levels, @moves = [], {}
      level, following = @random.rand(1..2), wait
      DAYS.times do |day|
        if day >= following
          before, level = level, (level + (@random.rand < DOWN ? -1 : 1)).clamp(scope.levels)
          @moves[day] = level <=> before unless level == before
          following = day + wait
        end
        @levels << level
      end
    end

    def wait = WAIT - (MEAN * Math.log(1 - @random.rand))

    # The day from which a fact is known.
    def learnt(problem)
      return Float::INFINITY unless @learning

      @learnt[problem.exact_fact] ||= -@learning * (problem.tells? ? 1 : SOONER) * Math.log(1 - @random.rand)
    end

    def seen(problem, day)
      return 5 if learnt(problem) <= day

      shown = problem.affords - [5]
      chances = shown.to_h { |rung| [rung, SHOWN.fetch(scope.level(rung) - levels[day], 0)] }
      return shown.min_by { |rung| (rung - levels[day]).abs } if chances.values.sum.zero?

      left = @random.rand * chances.values.sum
      chances.find { |_, chance| (left -= chance) <= 0 }&.first || chances.keys.last
    end

    # One in twenty is taken down as its neighbour.
    def miscoded(rung) = @random.rand < 0.05 ? (rung + [-1, 1].sample(random: @random)).clamp(1, 5) : rung
  end
end
