# frozen_string_literal: true

module Rungs
  module Picture
    # Linking-cube towers in two tones, one for each part or one on top of the other; also a paper chain of two tones.
    class Towers
      include Kind

      def self.of(problem, **)
        shown = problem.shown_parts
        shown.max <= 20 && shown.sum.positive? ? new(shown) : nil
      end

      # Side by side; for one given across, one cube moves.
      def self.act(path, problem, **)
        return [] unless problem.add? && problem.whole <= 20 && %w[double near_double share_even].include?(path.move.id)

        steps = [new(problem.parts).layout]
        steps << new([problem.whole / 2, problem.whole / 2]).layout if path.move.id == "share_even"
        steps
      end

      # @param parts [Array<Integer>] cubes of each tone
      # @param style [Symbol] :towers side by side, :tower one on top of the other, :chain
      def initialize(parts, style: :towers)
        refuse "40 cubes at most" if parts.sum > 40

        @parts = parts
        @style = one_of(%i[towers tower chain], style)
      end

      # @return [Layout]
      def layout = lay(@style == :chain ? links : cubes, "#{{ towers: 'Towers of', tower: 'One tower of', chain: 'A paper chain of' }.fetch(@style)} #{@parts.join(' and ')}")

      def ways = @parts.count { |element| !element.zero? } > 1 ? [Way.sum(*@parts.reject(&:zero?))] : []

      private

      def kinds = @parts.each_with_index.flat_map { |number, group| (0...number).map { |index| [group, index] } }

      def cubes
        high = @style == :tower ? @parts.sum : @parts.max
        kinds.each_with_index.map do |(group, index), order|
          level = @style == :tower ? order : index
          mark(:cube, x: @style == :tower ? 0 : group * 1.8, y: high - level - 1, tone: group.even? ? :a : :b, group: group, order: order + 1)
        end
      end

      def links = kinds.each_with_index.map { |(group, _), order| mark(:link, x: (order % 20) * 0.8, y: (order / 20) * 1.4, tone: group.even? ? :a : :b, group: group, order: order + 1) }
    end
  end
end
