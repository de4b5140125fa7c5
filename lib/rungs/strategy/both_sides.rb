# frozen_string_literal: true

module Rungs
  module Strategy
    # Both sides sums (8 + 4 = □ + 5): the moves of the sum followed by those of the missing part (guide 4). Each move
    # of the one is told together with the best of the other that is on no higher a rung.
    module BothSides
      module_function

      # @param problem [Problem] a two-sided one
      # @return [Array<Path>] each ends at the number in the box
      def paths(problem)
        sums, parts = problem.sides.map(&:paths)
        sums.map { |sum| sum.then(best_partner(parts, sum), move: sum.move) } +
          parts.reject { |part| sums.any? { |sum| sum.move == part.move } }
               .map { |part| best_partner(sums, part).then(part, move: part.move) }
      end

      # The highest rung that is not above that path's, and on it the least work.
      def best_partner(paths, other)
        paths.select { |path| path.rung <= other.rung && path.move.pulls? }.min_by { |path| [-path.rung, path.work] }
      end
      private_class_method :best_partner
    end
  end
end
