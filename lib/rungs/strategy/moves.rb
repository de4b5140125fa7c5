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
        { "count_all" => [CountAll::ENTRIES], "count_on" => [CountOn::ENTRIES, Skip::ENTRIES, ByTens::STEPS],
          "part_whole" => [ByTens::ENTRIES, Doubles::ENTRIES, FivesAndTens::ENTRIES, Related::ENTRIES],
          "make_ten" => [ThroughTen::ENTRIES, Ten::ENTRIES], "known_fact" => [KnownFact::ENTRIES] }
          .flat_map { |rung, shelves| shelves.flatten.map { |entry| { rung: rung, **entry } } }
      end
    end
  end
end
