# frozen_string_literal: true

module Rungs
  module Progress
    # Numbers that invite a rung for some children: facts of the square on which that rung is the least work, that most
    # of them do not know yet, those that save most first.
    module Inviting
      module_function

      # @param square [Square]
      # @param rung [Integer] 2..4
      # @param facts [Array<FactMap>] one for each child
      # @param whole [Integer] the largest whole
      # @param count [Integer]
      # @return [Array<Array<Integer>>] pairs p, q; none twice, whichever way round
      def pick(square, rung:, facts:, whole: 20, count: 6)
        inviting = square.cells.select { |cell| cell.rung == rung && cell.p + cell.q <= whole }
        fitting = inviting.select { |cell| cell.p.positive? && cell.q.positive? && !known_to_most?(cell, facts) }
        ordered = fitting.sort_by { |cell| [-(cell.saves || 0), cell.p + cell.q, -cell.p] }
        ordered.uniq { |cell| [cell.p, cell.q].sort }.first(count).map { |cell| [cell.p, cell.q] }
      end

      def known_to_most?(cell, facts)
        facts.any? && facts.count { |map| map.state(cell.p, cell.q) == "known" } * 2 > facts.size
      end
      private_class_method :known_to_most?
    end
  end
end
