# frozen_string_literal: true

module Rungs
  module Strategy
    # The entries of the moves, rung by rung, in the order of guide 4. Letters as there: to find a whole, a + b in the
    # order of the problem, lo ≤ hi the same in order of size; to find a part, w − p = q with q sought. An entry says
    # all about its move, so that a new one is one entry: see Move for its keys.
    module Moves
      Rungs.shelve self

      # @return [Array<Hash>] as Move.new takes them
      def self.entries
        { "count_all" => [CountAll], "count_on" => [CountOn, Skip], "part_whole" => [Doubles, FivesAndTens, Related],
          "make_ten" => [ThroughTen, Ten], "known_fact" => [KnownFact] }.flat_map do |rung, shelves|
          shelves.flat_map { |shelf| shelf::ENTRIES.map { |entry| { rung: rung, **entry } } }
        end
      end
    end
  end
end
