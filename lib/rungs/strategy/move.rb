# frozen_string_literal: true

module Rungs
  module Strategy
    # One way of working a problem: the "how" under a rung (field guide 4). What a move is, is all in its entry
    # under moves/: when it applies, and how it goes.
    class Move
      attr_reader :id, :rung_id, :title, :draws, :usual

      # @param rung [String] the id of its rung
      # @param for_a [Symbol] :whole (add), :part (sub) or :either
      # @param applies [Proc] Problem → whether it fits these numbers
      # @param goes [Proc] Problem → the attributes of its Path
      # @param usual [Boolean] whether it comes to mind first, where several moves of a rung are possible
      # @param draws [Symbol] the picture that shows it best, of Picture's catalogue
      def initialize(id:, rung:, title:, for_a:, applies:, goes:, draws: :line, usual: true)
        @id = id
        @rung_id = rung
        @title = title
        @for_a = for_a
        @applies = applies
        @goes = goes
        @draws = draws
        @usual = usual
        freeze
      end

      def rung = Rung::ALL.fetch(rung_id).level
      def adds? = @for_a != :part
      def subtracts? = @for_a != :whole

      # @param problem [Problem]
      def applies?(problem)
        (problem.add? ? adds? : subtracts?) && (problem.parts.size == 2 || THREE.include?(id)) && @applies.call(problem)
      end

      # @return [Path, nil] how it goes for this problem; nil where it does not apply
      def path(problem) = applies?(problem) ? Path.new(move: self, **@goes.call(problem)) : nil

      # What can be done with three parts as it is with two.
      THREE = %w[all_objects on_first recall].freeze

      ALL = Catalogue.new("move", [*Moves::COUNT_ALL, *Moves::COUNT_ON, *Moves::PART_WHOLE, *Moves::MAKE_TEN, *Moves::KNOWN_FACT]
        .map { |entry| new(**entry) })
    end
  end
end
