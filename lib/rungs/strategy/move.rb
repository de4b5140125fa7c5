# frozen_string_literal: true

module Rungs
  module Strategy
    # One way of working a problem: the "how" under a rung (guide 4). What a move is, is all in its entry
    # under moves/: when it applies, what it costs, how it goes, and how pictures act it out.
    class Move
      attr_reader :id, :rung, :rung_id, :title, :practised, :draws, :usual, :shapes

      # @param rung [String] the id of its rung
      # @param practised [String] what a group works on that practises it, in four words at most
      # @param for_a [Symbol] :whole (add), :part (sub) or :either
      # @param shapes [Array<Symbol>] the problems it is for, by Problem#shape
      # @param applies [Proc] Problem → whether it fits these numbers
      # @param goes [Proc] Problem → landings, equations, says and, where it is not the last landing, the answer
      # @param acts [Proc] Problem → how pictures act it out, as Acting.new takes it
      # @param counts, splits, turns [Integer, Proc] what it costs; a Proc is asked with the Problem
      # @param recalls [Array<String>, Proc] the kinds of what is recalled, in order, of Path::RECALL
      # @param usual [Boolean] whether it comes to mind first, where several moves of a rung are possible
      # @param pulls [Boolean] whether it counts among what a problem invites
      # @param draws [Symbol] the picture that shows it best, of Picture's catalogue
      def initialize(id:, rung:, title:, for_a:, applies:, goes:, practised: Rungs.capital(title), acts: Acting::PLAIN,
                     shapes: %i[two], draws: :line, usual: true, pulls: true, counts: 0, recalls: [], splits: 0,
                     turns: 0)
        @id = id
        @rung_id = rung
        @rung = Rung::ALL.fetch(rung).level
        @title = title
        @practised = practised
        @for_a = for_a
        @shapes = shapes
        @applies = applies
        @goes = goes
        @acts = acts
        @usual = usual
        @pulls = pulls
        @draws = draws
        @costs = { counts: counts, recalled: recalls, splits: splits, turns: turns }.freeze
        freeze
      end

      def adds? = @for_a != :part
      def subtracts? = @for_a != :whole
      def pulls? = @pulls

      # @param problem [Problem]
      def applies?(problem)
        (problem.add? ? adds? : subtracts?) && @shapes.include?(problem.shape) && @applies.call(problem)
      end

      # @return [Path, nil] how it goes for this problem; nil where it does not apply
      def path(problem)
        return unless applies?(problem)

        Path.new(move: self, acting: Acting.new(**@acts.call(problem)), **costs(problem), **@goes.call(problem))
      end

      # @return [Hash] counts, recalled, splits and turns for this problem
      def costs(problem) = @costs.transform_values { |cost| cost.is_a?(Proc) ? cost.call(problem) : cost }

      # @return [Numeric] what it costs in work
      def work(problem) = Path.work(**costs(problem))

      ALL = Catalogue.new("move", Moves.entries.map { |entry| new(**entry) })
    end
  end
end
