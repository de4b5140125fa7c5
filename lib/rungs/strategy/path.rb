# frozen_string_literal: true

module Rungs
  module Strategy
    # How one move goes for one problem: what it costs, where it lands, what is written and said (field guide 4).
    #
    #   path = Path.all(problem).first
    #   path.landings  # => [9, 10, 14], the numbers on the line it stands on, in order
    class Path
      COUNT = 1
      RECALL = 1.5
      SPLIT = 1

      attr_reader :move, :counts, :recalls, :splits, :landings, :equations, :says, :answer

      # @param answer [Integer] what the move arrives at; by default the last landing
      def initialize(move:, landings:, equations:, says:, counts: 0, recalls: 0, splits: 0, answer: landings.last)
        @move = move
        @counts = counts
        @recalls = recalls
        @splits = splits
        @landings = landings.freeze
        @equations = equations.freeze
        @says = says
        @answer = answer
        freeze
      end

      def self.work(counts:, recalls:, splits:) = (counts * COUNT) + (recalls * RECALL) + (splits * SPLIT)

      def self.all(problem) = Move::ALL.filter_map { |move| move.path(problem) }

      # @return [Path, nil] the least work at one rung (1..5); nil where the problem does not afford it
      def self.cheapest(problem, level) = problem.paths.select { |path| path.rung == level }.min_by(&:work)

      # @return [Path, nil] how that rung would most likely sound here
      def self.usual(problem, level) = problem.paths.select { |path| path.rung == level }.min_by { |path| [path.move.usual ? 0 : 1, path.work] }

      def rung = move.rung
      def work = Path.work(counts: counts, recalls: recalls, splits: splits)

      def to_h
        { rung: move.rung_id, move: move.id, counts: counts, recalls: recalls, splits: splits, work: work,
          landings: landings, equations: equations, says: says }
      end
    end
  end
end
