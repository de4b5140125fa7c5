# frozen_string_literal: true

module Drawings
  class Shapes
    # What stands for numbers: lines, jumps, numerals, nodes and bars.
    module Lines
      private

      def segment = path(mark.points)
      def dot = circle(8, fill: A, stroke: A_EDGE, stroke_width: 1.5)

      NUMERAL = 35
      private_constant :NUMERAL

      def number
        strong = mark.state == :new
        words(mark.text, left, top, NUMERAL, font_weight: (strong ? 700 : nil), fill: strong ? INK : SOFT)
      end

      # The arc, its tip, and beside its highest point how far it goes, as large as the numerals.
      def jump
        (x1, y1), (x2, y2), (x3, y3) = mark.points.map { |x, y| [at(x), at(y)] }
        arc = Svg.tag(:path, d: curve([x1, y1], [x2, y2], [x3, y3]), fill: "none", stroke: B, stroke_width: 3.4)
        arc + tip(x3, y3, x3 <=> x1) + words(mark.text, x2, ((y1 + y2) / 2.0) - 20, NUMERAL, font_weight: 700, fill: B)
      end

      def tip(x, y, head)
        corners = [[x - (head * 9), y - 11], [x, y], [x + (head * 2), y - 13]]
        points = corners.map { |pair| pair.map { |each| Svg.number(each) }.join(" ") }
        Svg.tag(:path, d: "M#{points.join('L')}", fill: "none", stroke: B, stroke_width: 2.6)
      end

      def node
        hidden = mark.state == :hidden
        b = mark.tone == :b
        box = rect(radius: 6, fill: PAPER, stroke: b ? B : INK, stroke_width: b ? 4 : 2.6,
                   stroke_dasharray: (hidden ? "8 6" : nil))
        box + (hidden ? words("?", *middle, 44) : dots + numeral)
      end

      def dots = mark.points.to_a.map { |x, y| Svg.tag(:circle, cx: at(x), cy: at(y), r: 6, fill: INK) }.join

      # Above its dots where it has some.
      def numeral
        return "" unless mark.text

        mark.points.to_a.any? ? words(mark.text, middle[0], top + 28, 36) : words(mark.text, *middle, 44)
      end

      def bar
        hidden, b = mark.state == :hidden, mark.tone == :b
        fill = hidden ? PAPER : { a: "#FBD9B4", b: PAPER }.fetch(mark.tone, DESK)
        edge = { stroke: b ? B : INK, stroke_width: b ? 4 : 2.4, stroke_dasharray: (hidden ? "8 6" : nil) }
        rect(fill: fill, **edge) + words(mark.text, *middle, 34)
      end

      # What the bigger has more: nothing is there, so it is dashed.
      def difference
        rect(fill: "none", stroke: SOFT, stroke_width: 2.6, stroke_dasharray: "9 7") + words(mark.text, *middle, 34)
      end
    end
  end
end
