# frozen_string_literal: true

module Rungs
  module Activity
    class NumberString
      # What leads to one move. listen_for: a question to oneself. ranges: of the numbers that chance chooses. problems:
      # those numbers → equations, each once, the last without help.
      Lead = Struct.new(:listen_for, :ranges, :problems) do
        # @param move [Strategy::Move]
        # @param random [Random]
        # @return [Array<Problem>]
        def draw(move, random)
          choices = ranges.map(&:to_a).then { |first, *rest| first.product(*rest) }.shuffle(random: random)
          drawn = choices.lazy.map { |numbers| read(problems.call(*numbers)) }
          drawn.find { |all| all.uniq.size == all.size && lands?(move, all.last) }
        end

        # Whether a problem invites the move's own rung, with no other way of reasoning that is less work.
        def lands?(move, problem)
          path = Strategy::Path.by(problem, move.id) or return false
          return false unless Strategy::Pull.new(problem).rung == move.rung
          return false if problem.first == problem.second && move.id != "double"

          others = problem.paths.select { |each| each.rung.between?(3, 4) && each.move != move }
          others.none? { |each| each.work < path.work }
        end

        private

        def read(texts) = texts.map { |text| Problem::Equation.parse(text).to_problem }
      end
    end
  end
end
