# frozen_string_literal: true

module Rungs
  module Picture
    # Linking-cube towers in two tones, one for each part or one on top of the other; also a paper chain of two tones.
    class Towers
      include Kind

      settings :style

      STYLES = { towers: "Towers of", tower: "One tower of", chain: "A paper chain of" }.freeze
      # Links of a chain in one row, and how far apart towers, links and rows stand.
      ROW = 20
      APART, LINK, DOWN = 1.8, 0.8, 1.4

      def self.of(problem, **)
        shown = problem.shown_parts
        shown.max <= 20 && shown.sum.positive? ? new(shown) : nil
      end

      # Side by side, where parts are seen as parts.
      def self.acts?(path, problem) = problem.add? && problem.whole <= 20 && path.rung == 3

      def self.stage(scene, **) = scene.left? || scene.parts.size > 3 ? nil : new(scene.settled)

      # @param parts [Array<Integer>] cubes of each tone
      # @param style [Symbol] :towers side by side, :tower one on top of the other, :chain
      def initialize(parts, style: :towers)
        refuse "40 cubes at most" if parts.sum > 40

        @parts = parts
        @style = one_of(STYLES.keys, style, "style")
      end

      attr_reader :parts

      # Whether they stand side by side.
      def apart? = @style == :towers

      # @return [Layout]
      def layout = lay(@style == :chain ? links : cubes, "#{STYLES.fetch(@style)} #{@parts.join(' and ')}")

      def ways
        some = @parts.reject(&:zero?)
        some.size > 1 ? [Way.sum(*some)] : []
      end

      private

      def kinds = @parts.each_with_index.flat_map { |number, group| (0...number).map { |index| [group, index] } }
      def tone(group) = group.even? ? :a : :b

      def cubes
        one = @style == :tower
        high = one ? @parts.sum : @parts.max
        kinds.each_with_index.map do |(group, index), order|
          mark(:cube, x: one ? 0 : group * APART, y: high - (one ? order : index) - 1, tone: tone(group), group: group,
                      order: order + 1)
        end
      end

      def links
        kinds.each_with_index.map do |(group, _), order|
          mark(:link, x: (order % ROW) * LINK, y: (order / ROW) * DOWN, tone: tone(group), group: group,
                      order: order + 1)
        end
      end
    end
  end
end
