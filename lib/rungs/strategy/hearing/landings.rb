# frozen_string_literal: true

module Rungs
  module Strategy
    class Hearing
      # The numbers that a move stands on: a way through ten, a double and its neighbour, tens and ones.
      class Landings
        def initialize(problem, heard)
          @problem = problem
          @heard = heard
        end

        # @return [Array<Candidate>]
        def candidates
          reasoned = @problem.paths.select { |path| path.rung.between?(3, 5) && path.landings.size > 1 }
          reasoned.filter_map { |path| against(path) }
        end

        private

        def against(path)
          first, *rest = path.landings
          if @heard == path.landings
            found(path, 0.9, "it lands on #{path.landings.join(', ')}")
          elsif @heard == rest && rest.size > 1
            found(path, 0.85, "it lands on #{rest.join(', ')} from #{first}")
          elsif (pieces = path.pieces) && [pieces, pieces.reverse].any? { |each| @heard == [*each, path.answer] }
            found(path, 0.9, "#{@heard.first} and #{@heard[1]}, tens and ones apart, then #{path.answer}")
          end
        end

        def found(path, weight, why) = Candidate.of(path.move, weight, path.answer, why)
      end
    end
  end
end
