# frozen_string_literal: true

module Drawings
  # Shares of the five rungs as bars of the ramp, the lowest rung at the bottom; side by side over time, or one lying.
  class Stack
    HEIGHT = 150
    WIDE = 34
    GAP = 6
    LEFT = 6
    FOOT = 26

    # @param bars [Array<Records::Distribution::Bar>]
    # @param names [Array<String>] below each
    def initialize(bars, names)
      @bars = bars
      @names = names
    end

    def draw(label:)
      columns = @bars.each_index.map { |index| column(index) }
      Svg.picture((LEFT * 2) + (@bars.size * (WIDE + GAP)), HEIGHT + FOOT, columns.join, label: label, css: "stack")
    end

    # One bar, lying.
    def self.lying(bar, label:, width: 420, height: 22)
      left = 0.0
      parts = bar.counts.each_with_index.map do |count, index|
        wide = bar.total.zero? ? 0 : width * count / bar.total.to_f
        next unless count.positive?

        Svg.tag(:rect, x: left, y: 0.5, width: wide, height: height - 1, fill: Timeline::TINTS[index],
                       stroke: "#0D4F47", stroke_width: 0.8).tap do
          left += wide
        end
      end
      Svg.picture(width, height, parts.compact.join, label: label, css: "stack-lying")
    end

    private

    def column(index)
      bar, x, y = @bars[index], LEFT + (index * (WIDE + GAP)), HEIGHT.to_f
      parts = bar.counts.each_with_index.map do |count, rung|
        high = HEIGHT * count / [bar.total, 1].max.to_f
        y -= high
        count.positive? ? band(x, y, high, rung) : ""
      end
      parts.join + name(index, x)
    end

    def band(x, y, high, rung)
      box = { x: x, y: y, width: WIDE, height: high }
      Svg.tag(:rect, **box, fill: Timeline::TINTS[rung], stroke: "#0D4F47",
                            stroke_width: 0.8) + number(x, y, high, rung)
    end

    # Every other week, so that the names do not touch, and the last.
    def name(index, x)
      return "" if index % 2 == @bars.size % 2

      Svg.text(@names[index], x: x + (WIDE / 2), y: HEIGHT + 18, font_size: 12, fill: "#55617A", text_anchor: "middle")
    end

    # The rung, so that the bands can be told apart without colour.
    def number(x, y, high, rung)
      return "" if high < 13

      Svg.text((rung + 1).to_s, x: x + (WIDE / 2), y: y + (high / 2) + 4, font_size: 12,
                                fill: (rung >= 3 ? "#FDFDFB" : "#17233A"), text_anchor: "middle")
    end
  end
end
