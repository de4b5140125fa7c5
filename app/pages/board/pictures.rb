# frozen_string_literal: true

module Pages
  module Board
    # What the board can draw for a problem: the pictures it starts from, and each rung's way step by step.
    module Pictures
      # The order in which the strip offers them.
      ORDER = %w[objects frame rack line parts bars fingers towers bundles dots scale].freeze
      Way = Struct.new(:rung, :title, :steps, :equations, keyword_init: true)

      module_function

      # @return [Hash{Rungs::Picture::Kind => Array<Rungs::Picture::Layout>}] as it starts and, where some leave, crossed out
      def of(problem, thing:)
        leaving = !problem.add? && !problem.missing_part? && !problem.many_answers? && problem.equation.left.size == 2 ? problem.given : 0
        kinds.each_with_object({}) do |kind, pictures|
          states = leaving.positive? && %w[objects frame].include?(kind.id) ? [0, leaving] : [0]
          layouts = states.filter_map { |struck| kind.of(problem, thing: thing, struck: struck)&.layout }
          pictures[kind] = layouts if layouts.any?
        end
      end

      # @return [Array<Way>] one for each rung that some picture can act out
      def ways(problem, thing:)
        Rungs::Strategy::Rung::ALL.filter_map do |rung|
          path = Rungs::Strategy::Path.usual(problem, rung.level)
          path && way(path, problem, thing: thing)
        end
      end

      # @param on [String, nil] the id of the picture it is drawn on
      # @return [Way, nil] nil where no picture can act it out
      def way(path, problem, thing:, on: nil)
        steps = on ? Rungs::Picture::KINDS.fetch(on).act(path, problem, thing: thing) : acted(path, problem, thing)
        Way.new(rung: Rungs::Strategy::Rung.at(path.rung), title: path.move.title, steps: steps, equations: path.equations) if steps.any?
      end

      # @return [Array<Rungs::Picture::Kind>] the pictures that can act a path out, the one that shows it best first
      def stages(path, problem)
        kinds.select { |kind| kind.act(path, problem).any? }.sort_by.with_index { |kind, index| [kind.id == path.move.draws.to_s ? 0 : 1, index] }
      end

      # On the picture that shows the move best, else on the first that can.
      def acted(path, problem, thing)
        best = Rungs::Picture::KINDS.fetch(path.move.draws.to_s)
        [best, *kinds].lazy.map { |kind| kind.act(path, problem, thing: thing) }.find(&:any?) || []
      end

      def kinds = ORDER.map { |id| Rungs::Picture::KINDS.fetch(id) }
    end
  end
end
