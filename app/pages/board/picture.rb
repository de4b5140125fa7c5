# frozen_string_literal: true

module Pages
  module Board
    # Which pictures stand for a problem on the board, and what taking away does to them.
    module Picture
      module_function

      # @return [Hash{String => Array<Rungs::Picture::Layout>}] by name: as it starts and, where some leave, crossed out
      def for(problem, thing:)
        leaving = problem.equation.to_s.start_with?(problem.whole.to_s) && !problem.add? ? problem.given : 0
        parts = leaving.zero? ? shown(problem) : [problem.whole]
        states = leaving.zero? ? [0] : [0, leaving]
        pictures = { "Objects" => states.map { |struck| Rungs::Picture::Objects.new(parts, thing: thing, struck: struck).layout } }
        pictures["Ten-frame"] = states.map { |struck| Rungs::Picture::Frame.new(parts, struck: struck).layout } if problem.whole <= 30
        pictures
      end

      def shown(problem) = problem.add? ? problem.parts : [problem.given]
    end
  end
end
