# frozen_string_literal: true

module Rungs
  module Activity
    # Four to six bare problems, one at a time, that lead to one move: each helps with the next, and the last stands
    # without the help. It invites the move's own rung, no other way of reasoning is less work there, and it is no
    # double unless the move is (guide 8).
    #
    #   NumberString.for("up_through_ten", random: Random.new(3)).problems.map(&:to_s)
    #   # => ["8 + 2 = □", "8 + 2 + 4 = □", "8 + 6 = □", "7 + 5 = □"]
    class NumberString
      Rungs.shelve self

      # The moves a string leads to.
      # @return [Array<String>]
      def self.moves = Leads::ALL.keys

      # @param move [String] the id of a move of rungs 2 to 4
      # @param random [Random]
      # @raise [Error::Unknown]
      def self.for(move, random:)
        entry = Strategy::Move::ALL.fetch(move)
        lead = Leads::ALL.fetch(move) do
          raise Error::Unknown, "there is no string for “#{move}”; there are #{moves.join(', ')}"
        end
        new(entry, lead.draw(entry, random), lead.listen_for)
      end

      attr_reader :move, :problems, :listen_for

      def initialize(move, problems, listen_for)
        @move = move
        @problems = problems.freeze
        @listen_for = listen_for
        freeze
      end

      def to_h
        { move: move.id, problems: problems.map do |problem|
          { equation: problem.to_s, answer: problem.answer }
        end, listen_for: listen_for }
      end
    end
  end
end
