# frozen_string_literal: true

module Pages
  module Plan
    # One of a story's sets of numbers, and whose it is.
    StorySet = Struct.new(:level, :problem, :children, keyword_init: true) do
      # @param problem [Rungs::Problem] the middle one
      # @param standing [Rungs::Planning::Standing] of its operation
      # @return [Array<StorySet>] easier first, the smallest numbers for all of a level; none where the story has room
      #   for one set only
      def self.of(problem, standing)
        return [] if problem.parts.size > 2 || problem.many_answers?

        sets = Rungs::Planning::StorySets.of(problem, standing, random: Random.new(problem.parts.sum))
        sets.group_by(&:level).map do |level, same|
          new(level: level, problem: same.first.problem, children: same.flat_map(&:names))
        end
      end

      def middle? = level == "middle"
      def expression = problem.expression
    end
  end
end
