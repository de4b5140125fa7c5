# frozen_string_literal: true

module Drawings
  class Shapes
    # What is counted and where it lies: cells, counters, things, and how they are marked.
    module Counting
      private

      def cell = rect(fill: "none", stroke: INK, stroke_width: 2.4)

      def counter
        a? ? circle(17.5, fill: A) : circle(15, fill: PAPER, stroke: B, stroke_width: 5.5)
      end

      def thing
        Svg.tag(:g, Thing.draw(mark.text, mark.group.to_i),
                transform: "translate(#{Svg.number(left)} #{Svg.number(top)})")
      end

      # Nothing is there.
      def mat = rect(inset: 3, radius: 10, fill: "none", stroke: SOFT, stroke_width: 2, stroke_dasharray: "7 6")

      # No wider than a thin thing, so that its neighbour is not struck too.
      def strike
        (x, y), wide_half = middle, [17, (wide / 2) + 5].min
        Svg.tag(:line, x1: x - wide_half, y1: y + 17, x2: x + wide_half, y2: y - 17, stroke: INK, stroke_width: 4.5,
                       stroke_linecap: "round")
      end

      # Counted: a small tick at the lower edge, that is no stroke through it.
      def tick
        x, y = middle[0] + 8, middle[1] + 12
        under = { fill: "none", stroke: PAPER, stroke_width: 8, stroke_linecap: "round", stroke_linejoin: "round" }
        hook = "M#{Svg.number(x)} #{Svg.number(y)}l5 6l10-13"
        Svg.tag(:path, d: hook, **under) + Svg.tag(:path, d: hook, **under, stroke: INK, stroke_width: 3.6)
      end

      # A number that is out.
      def out
        inset = long(0.2)
        Svg.tag(:line, x1: left + inset, y1: top + high - inset, x2: left + wide - inset, y2: top + inset, stroke: INK,
                       stroke_width: 4, stroke_linecap: "round")
      end
    end
  end
end
