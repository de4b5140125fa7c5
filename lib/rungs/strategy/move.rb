# frozen_string_literal: true

module Rungs
  module Strategy
    # One way of working a problem: the "how" under a rung (field guide 4). What a move is, is all in its entry
    # under moves/: when it applies, and how it goes.
    class Move
      attr_reader :id, :rung, :rung_id, :title, :draws, :usual

      # @param rung [String] the id of its rung
      # @param for_a [Symbol] :whole (add), :part (sub) or :either
      # @param applies [Proc] Problem → whether it fits these numbers
      # @param goes [Proc] Problem → the attributes of its Path
      # @param counts, recalls, splits [Integer, Proc] what it costs; a Proc is asked with the Problem
      # @param usual [Boolean] whether it comes to mind first, where several moves of a rung are possible
      # @param draws [Symbol] the picture that shows it best, of Picture's catalogue
      def initialize(id:, rung:, title:, for_a:, applies:, goes:, draws: :line, usual: true, counts: 0, recalls: 0, splits: 0)
        @id = id
        @rung_id = rung
        @rung = Rung::ALL.fetch(rung).level
        @title = title
        @for_a = for_a
        @applies = applies
        @goes = goes
        @draws = draws
        @usual = usual
        @costs = { counts: counts, recalls: recalls, splits: splits }.freeze
        freeze
      end

      def adds? = @for_a != :part
      def subtracts? = @for_a != :whole

      # @param problem [Problem]
      def applies?(problem)
        (problem.add? ? adds? : subtracts?) && (problem.parts.size == 2 || THREE.include?(id)) && @applies.call(problem)
      end

      # @return [Path, nil] how it goes for this problem; nil where it does not apply
      def path(problem) = applies?(problem) ? Path.new(move: self, **costs(problem), **@goes.call(problem)) : nil

      # @return [Hash] counts, recalls and splits for this problem
      def costs(problem) = @costs.transform_values { |cost| cost.is_a?(Proc) ? cost.call(problem) : cost }

      # What it costs in work: counts × 1 + recalls × 1.5 + splits × 1.
      def work(problem) = Path.work(**costs(problem))

      # What can be done with three parts as it is with two.
      THREE = %w[all_objects on_first recall].freeze

      ALL = Catalogue.new("move", [*Moves::COUNT_ALL, *Moves::COUNT_ON, *Moves::PART_WHOLE, *Moves::MAKE_TEN, *Moves::KNOWN_FACT]
        .map { |entry| new(**entry) })
    end
  end
end
