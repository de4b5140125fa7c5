# frozen_string_literal: true

module Rungs
  module Planning
    # One story with easier, middle and harder numbers, each for its children (guide 11): easier ones of the range
    # before; harder is the next ten, never merely a bigger whole.
    class StorySets
      # level: "easier", "middle" or "harder". problem: Problem. names: of whom it is for.
      Set = Struct.new(:level, :problem, :names, keyword_init: true) do
        def to_h = { level: level, equation: problem.to_s, names: names }
      end

      # Below the first range numbers go so far.
      LEAST = 3

      # @param problem [Problem] the middle one, told by a situation
      # @param levels [Hash{String => Array}] names by level, as Standing#levels has them
      # @param random [Random]
      # @return [Array<Set>] easier first; only those that somebody works with, and the middle one
      def self.of(problem, levels, random:) = new(problem, random).sets(levels)

      def initialize(problem, random)
        @problem = problem
        @random = random
      end

      def sets(levels)
        wanted = { "easier" => levels["easier"].to_a.any? && easier, "middle" => @problem,
                   "harder" => levels["harder"].to_a.any? && harder }.select { |_, problem| problem }
        rest = levels.except(*wanted.keys).values.flatten
        wanted.map do |level, problem|
          Set.new(level: level, problem: problem, names: [*levels[level], *(rest if level == "middle")])
        end
      end

      private

      # @return [Problem, nil] nil where there are none
      def easier
        before = Ranges.up_to(@problem.band)[1]
        below = before ? pool(before) : smallest
        below.select { |each| each.whole < @problem.whole }.sample(random: @random)
      end

      def smallest = pool("to5").select { |each| each.whole <= LEAST }
      def pool(band) = Activity::POSED.pool(@problem.situation.id, band).problems

      # The larger part, or what is left, is one or two tens larger; beyond, the same numbers in a second way.
      def harder
        parts = @problem.parts.dup
        grows = { whole: parts.index(parts.max), first: 0, second: 1 }.fetch(@problem.unknown)
        parts[grows] += Problem::Band::ALL.fetch(@problem.band).grows
        return @problem if parts.sum > Problem::LARGEST_WHOLE

        Problem.new(situation: @problem.situation.id, parts: parts, unknown: @problem.unknown)
      end
    end
  end
end
