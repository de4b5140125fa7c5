# frozen_string_literal: true

module Rungs
  module Picture
    # Linking-cube towers in two tones, one for each part or one on top of the other; also a paper chain of two tones.
    class Towers
      include Kind

      settings :style, :level, :over

      STYLES = { towers: "Towers of", tower: "One tower of", chain: "A paper chain of" }.freeze
      # Links of a chain in one row, and how far apart towers, links and rows stand.
      ROW = 20
      APART = 1.8
      LINK = 0.8
      DOWN = 1.4

      def self.of(problem, **)
        shown = problem.shown_parts
        shown.max <= 20 && shown.sum.positive? ? new(shown) : nil
      end

      # Side by side, where parts are seen as parts.
      def self.acts?(path, problem) = problem.add? && problem.whole <= 20 && path.rung == 3

      def self.stage(scene, **) = scene.left? || scene.parts.size > 3 ? nil : new(scene.settled)

      # @param parts [Array<Integer>] cubes of each tone
      # @param style [Symbol] :towers side by side, :tower one on top of the other, :chain
      # @param level [Integer, nil] at the top of so many a line goes across
      # @param over [Boolean] whether those above it are ticked
      def initialize(parts, style: :towers, level: nil, over: false)
        refuse "40 cubes at most" if parts.sum > 40

        @parts = parts
        @style = one_of(STYLES.keys, style, "style")
        @level = level
        @over = over
      end

      attr_reader :parts

      # Whether they stand side by side.
      def apart? = @style == :towers

      # @return [Layout]
      def layout
        across = ", a line across at #{@level}" if @level
        lay((@style == :chain ? links : cubes) + level, "#{STYLES.fetch(@style)} #{@parts.join(' and ')}#{across}")
      end

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
                      order: order + 1, state: (:ticked if @over && index >= @level))
        end
      end

      # Across at the top of the smaller one.
      def level
        return [] unless @level

        y = @parts.max - @level
        [mark(:segment, x: 0, y: y, width: APART + 1, height: 0, points: [[0, y], [APART + 1, y]])]
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
