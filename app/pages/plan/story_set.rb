# frozen_string_literal: true

module Pages
  module Plan
    # One of a story's sets of numbers, and whose it is.
    StorySet = Struct.new(:level, :problem, :children, keyword_init: true) do
      # As the core has them for those who work with them; for the rest a pair that a teacher may give.
      # @param problem [Rungs::Problem] the middle one
      # @param by_level [Hash{String => Array<Records::Child>}]
      # @return [Array<StorySet>] easier first; none where the story has room for one set only
      def self.of(problem, by_level)
        return [] if problem.parts.size > 2 || problem.many_answers?

        random = Random.new(problem.parts.sum)
        own = Rungs::Planning::StorySets.of(problem, by_level, random: random).to_h { |set| [set.level, set] }
        pairs = Rungs::Problem::NumberSets.for(problem, random: random).transform_keys(&:to_s)
        %w[easier middle harder].map do |level|
          set = own[level]
          new(level: level, problem: set ? set.problem : pairs.fetch(level), children: set ? set.names : [])
        end
      rescue Rungs::Error::TooMany
        []
      end

      def middle? = level == "middle"
      def expression = problem.expression
    end
  end
end
