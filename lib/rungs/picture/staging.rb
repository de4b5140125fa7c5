# frozen_string_literal: true

module Rungs
  module Picture
    # What can be drawn for a problem: the pictures it starts from, and each rung's way step by step.
    module Staging
      # How a class has its pictures, the usual choices.
      USUAL = { fill: :fives, whole: :top, fingers: true }.freeze

      # One way: its rung, the move's title, its steps (Array<Layout>) and equations.
      Way = Struct.new(:rung, :title, :steps, :equations, keyword_init: true)

      module_function

      # @param thing [String, Array<String>] what the objects are, or each part of them
      # @return [Hash{Kind => Array<Layout>}] as it starts and, where some leave, crossed out
      # @param how [Hash] of USUAL
      def of(problem, thing:, **how)
        leaving = leaving(problem)
        kinds.to_h { |kind| [kind, layouts(kind, problem, leaving, thing: thing, **how)] }
             .reject { |_, layouts| layouts.empty? }
      end

      # @return [Array<Kind>] those that can show a problem, without anything being laid out
      # @param fingers [Boolean] whether hands are offered
      def kinds_of(problem, fingers: true)
        offered = fingers ? kinds : kinds - [Fingers]
        offered.select { |kind| kind.of(problem, thing: "counter") }
      end

      # @return [Array<Way>] one for each rung that some picture can act out
      def ways(problem, thing:)
        Strategy::Rung::ALL.filter_map do |rung|
          path = Strategy::Path.usual(problem, rung.level)
          path && way(path, problem, thing: thing)
        end
      end

      # @param on [String, nil] the id of the picture it is drawn on
      # @return [Way, nil] nil where no picture can act it out
      def way(path, problem, thing:, on: nil, **how)
        steps = on ? KINDS.fetch(on).act(path, problem, thing: thing, **how) : acted(path, problem, thing: thing, **how)
        return unless steps.any?

        Way.new(rung: Strategy::Rung.at(path.rung), title: path.move.title, steps: steps,
                equations: path.equations)
      end

      # @return [Array<Kind>] the pictures that can act a path out, the one that shows it best first
      def stages(path, problem, fingers: true)
        offered = fingers ? kinds : kinds - [Fingers]
        able = offered.select { |kind| kind.act(path, problem).any? }
        able.sort_by.with_index { |kind, index| [kind.id == path.move.draws.to_s ? 0 : 1, index] }
      end

      # On the picture that shows the move best, else on the first that can.
      # @return [Array<Layout>]
      def acted(path, problem, **how)
        best = KINDS.fetch(path.move.draws.to_s)
        [best, *kinds].lazy.map { |kind| kind.act(path, problem, **how) }.find(&:any?) || []
      end

      def kinds = KINDS.to_a

      # How many leave, where the problem tells it.
      def leaving(problem)
        takes = !problem.add? && !problem.missing_part? && !problem.many_answers? && !problem.two_sided?
        takes && problem.equation.left.size == 2 ? problem.given : 0
      end

      # Crossed out only where a kind knows how.
      def layouts(kind, problem, leaving, **how)
        states = leaving.positive? && kind.settings.include?(:struck) ? [0, leaving] : [0]
        states.filter_map { |struck| kind.of(problem, **how, struck: struck)&.layout }
      end
      private_class_method :leaving, :layouts
    end
  end
end
