# frozen_string_literal: true

module Rungs
  module Planning
    # Numbers for everybody (guide 11): one story with easier, middle and harder numbers, each for its children, by each
    # child's own edge in that operation; never merely a bigger whole.
    #
    #   StorySets.of(problem, standing, random: Random.new(1)).map(&:level)  # => %w[easier middle]
    class StorySets
      # level: "easier", "middle" or "harder". problem: Problem. names: of whom it is for.
      Set = Struct.new(:level, :problem, :names, keyword_init: true) do
        include With

        def to_h = { level: level, equation: problem.to_s, names: names }
      end

      LEVELS = %w[easier middle harder].freeze
      # By the range of the middle, the range of harder numbers; what has none goes to the next ten.
      BEYOND = { "to5" => "to10", "teens" => "to20", "to20" => "bridge" }.freeze
      THROUGH_TEN = "bridge"
      NEXT_TEN = %w[bridge tens].freeze
      # What is put to, or taken from, a number where all is counted still.
      FEW = (2..3)
      # By a situation, the one in which a part of it is missing.
      MISSING = { "add_to.result" => "add_to.change", "together.total" => "together.part",
                  "take_from.result" => "take_from.change" }.freeze
      # Fewer than so many of those with an edge fit the middle: other numbers are offered first.
      FIT = Rational(1, 2)

      # @param problem [Problem] the middle one
      # @param standing [Standing] of its operation
      # @param random [Random]
      # @return [Array<Set>] easier first; the middle one, and others that somebody works with
      def self.of(problem, standing, random:) = new(problem, standing, random).sets

      # @return [Array(Integer, Integer, String), nil] how many of how many work elsewhere, and in which range most do;
      #   nil where at least half of those with an edge fit
      def self.elsewhere(problem, standing)
        edges = standing.edges.values
        fits = edges.count(problem.band)
        [edges.size - fits, edges.size, standing.median(edges)] if edges.any? && fits < FIT * edges.size
      end

      def initialize(problem, standing, random)
        @problem = problem
        @standing = standing
        @random = random
      end

      def sets
        wanted = @standing.names.group_by { |child| numbers(child) }
        made = wanted.to_h { |how, names| [how, [made(*how), names]] }
        own, others = made.partition { |how, (problem, _)| how == MIDDLE || problem.nil? }
        middle = Set.new(level: "middle", problem: @problem, names: in_turn(own.flat_map { |_, (_, names)| names }))
        rest = others.map { |(level, _), (problem, names)| Set.new(level: level, problem: problem, names: names) }
        together([middle, *rest]).sort_by { |set| [LEVELS.index(set.level), set.problem.whole] }
      end

      private

      MIDDLE = ["middle", nil].freeze
      private_constant :MIDDLE

      def range = @problem.band
      def in_turn(names) = @standing.names & names

      # The same numbers are one set.
      def together(sets)
        sets.group_by { |set| [set.level, set.problem.to_s] }.map do |_, same|
          same.first.with(names: in_turn(same.flat_map(&:names)))
        end
      end

      # Which numbers a child gets.
      # @return [Array(String, Symbol)] the level, and what they are: a range, or one of the kinds that made knows
      def numbers(child)
        edge = @standing.edges[child] or return MIDDLE
        return ["easier", edge] if Ranges.beyond?(range, edge)

        estimate = @standing.estimate(child, range)
        return harder(child) if edge != range || estimate.knows?

        estimate.working == 1 && !few?(@problem) ? ["easier", :few] : MIDDLE
      end

      def harder(child)
        return ["harder", BEYOND.fetch(range)] if BEYOND.key?(range)
        return ["harder", :next_ten] if NEXT_TEN.include?(range)
        return MIDDLE unless range == "to10"

        ["harder", @standing.partners?(child) ? THROUGH_TEN : :missing]
      end

      # @return [Problem, nil] nil where the story has none
      def made(_level, how)
        case how
        when nil then @problem
        when :few then one_of(pool(range).select { |each| few?(each) })
        when :missing then missing
        when :next_ten then next_ten
        else one_of(pool(how))
        end
      end

      # Two or three come to a number, go from it, or are left.
      def few?(problem)
        first, second = problem.first, problem.second
        problem.add? ? FEW.cover?(second) && first >= second : FEW.cover?(problem.given)
      end

      def one_of(problems)
        telling = problems.select(&:tells?)
        (telling.any? ? telling : problems).sample(random: @random)
      end

      def pool(band, situation = @problem.situation&.id)
        return Activity::POSED.pool(situation, band).problems if situation

        Problem::Pool.of(@problem.operation, band).problems
      end

      # The same numbers, and a part of them is asked for.
      def missing
        asked = MISSING[@problem.situation&.id] or return
        situation = Problem::Situation::ALL.fetch(asked)
        Problem.new(situation: asked, parts: @problem.parts, unknown: situation.unknown)
      end

      # The larger part, or what is left, is two tens larger; whole tens cross a ten with ones.
      def next_ten
        return one_of(pool("to100").select { |each| each.parts.sum { |part| part % 10 } >= 10 }) if range == "tens"

        parts = @problem.parts.dup
        grows = { whole: parts.index(parts.max), first: 0, second: 1 }.fetch(@problem.unknown)
        parts[grows] += Problem::Band::ALL.fetch(range).grows
        return Problem::Pool.bare(@problem.operation, *parts) unless @problem.situation

        Problem.new(situation: @problem.situation.id, parts: parts, unknown: @problem.unknown)
      end
    end
  end
end
