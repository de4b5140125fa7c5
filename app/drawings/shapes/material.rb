# frozen_string_literal: true

module Drawings
  class Shapes
    # What children hold: beads, cups, cubes, fingers, balances, bundles and cards.
    module Material
      private

      def rod
        Svg.tag(:line, x1: left, y1: middle[1], x2: left + wide, y2: middle[1], stroke: SOFT, stroke_width: 3,
                       stroke_linecap: "round")
      end

      def bead = mark.state == :hidden ? "" : circle(21, **toned(stroke: 6))
      def card = rect(radius: 4, fill: DESK, stroke: SOFT, stroke_width: 2)

      # How large its number is.
      ON_COVER = 44
      private_constant :ON_COVER

      # With the number of what lies under it, where that is told.
      def cover
        lid = rect(radius: 4, fill: DESK, stroke: "#B8C4D4", stroke_width: 3)
        mark.text ? lid + words(mark.text, *middle, ON_COVER, font_weight: 700, fill: INK) : lid
      end

      # A cup upside down over what is hidden: narrower above.
      def cup
        points = [[0.35, 0.1], [1.65, 0.1], [1.95, 1.9], [0.05, 1.9]].map do |x, y|
          "#{at(mark.x + x)},#{at(mark.y + y)}"
        end
        Svg.tag(:polygon, points: points.join(" "), fill: DESK, stroke: SOFT, stroke_width: 2.6,
                          stroke_linejoin: "round")
      end

      def pip = a? ? circle(15, fill: INK) : circle(12.5, fill: PAPER, stroke: B, stroke_width: 5.5)
      def tile = rect(inset: 3, radius: 14, fill: PAPER, stroke: INK, stroke_width: 2.6)

      def cube
        knob = Svg.tag(:rect, x: left + 15, y: top - 4, width: 18, height: 6, fill: a? ? A_EDGE : B)
        knob + rect(inset: 1.5, radius: 4, **toned) + (a? ? "" : circle(6, fill: B))
      end

      def link
        Svg.tag(:ellipse, cx: left + 24, cy: top + 24, rx: 22, ry: 15, fill: "none", stroke: a? ? A : B,
                          stroke_width: a? ? 9 : 4)
      end

      # Hands are outlines; a folded finger is a thinner one.
      def palm = rect(radius: 26, fill: PAPER, stroke: INK, stroke_width: 2.6)

      def finger
        rect(radius: 15, fill: PAPER, stroke: mark.state == :hidden ? SOFT : INK,
             stroke_width: mark.state == :hidden ? 1.6 : 2.6)
      end

      def stand
        x, = middle
        foot = "M#{Svg.number(x)} #{Svg.number(top + 8)}L#{Svg.number(left + wide)} " \
               "#{Svg.number(top + high)}H#{Svg.number(left)}Z"
        Svg.tag(:path, d: foot, fill: DESK, stroke: INK, stroke_width: 2.6, stroke_linejoin: "round")
      end

      def pan
        from, to, y = [left, left + wide, top].map { |each| Svg.number(each) }
        bowl = "M#{from} #{y}H#{to}Q#{Svg.number(middle[0])} #{Svg.number(top + (high * 2))} #{from} #{y}Z"
        Svg.tag(:path, d: bowl, fill: DESK, stroke: INK, stroke_width: 2.6)
      end

      # As large as its card holds.
      def weight
        size = [high * 0.8, wide / (mark.text.to_s.length * 0.6)].min
        dash = mark.state == :hidden ? "8 6" : nil
        rect(radius: 4, fill: PAPER, stroke: a? ? A_EDGE : B, stroke_width: 4,
             stroke_dasharray: dash) + words(mark.text, *middle, size)
      end

      # Ten sticks: five, and five behind them that look out between and above.
      def bundle
        sticks = [[0.5, 0], [0, 7]].flat_map { |shift, down| Array.new(5) { |index| bundled(index + shift, down) } }
        band = Svg.tag(:rect, x: left - 2, y: middle[1] - 11, width: wide + 4, height: 22, rx: 3, fill: INK)
        sticks.join + band + words(mark.text, *middle, 18, fill: PAPER, font_weight: 700)
      end

      def bundled(place, down)
        apart = wide / 5.5
        Svg.tag(:rect, x: left + (place * apart) + 0.5, y: top + down, width: apart - 1, height: high - down, rx: 3,
                       **toned(stroke: 2))
      end

      def stick = rect(radius: 3, **toned(stroke: 2))

      def tens_rod
        cuts = (1..9).map { |index| top + (high * index / 10.0) }
        lines = cuts.map do |y|
          Svg.tag(:line, x1: left, x2: left + wide, y1: y, y2: y, stroke: a? ? A_EDGE : B, stroke_width: 1.2)
        end
        rect(**toned(stroke: 2.4)) + lines.join
      end

      def unit = rect(**toned(stroke: 2.4))
      def value_card = rect(inset: 2, radius: 8, fill: PAPER, stroke: a? ? A_EDGE : B, stroke_width: 3.4) + value_digits

      # Each digit in the middle of its own place, so that a card laid over the zero hides just that.
      def value_digits
        digits = mark.text.chars
        place = wide / digits.size
        digits.each_with_index.map { |digit, index| words(digit, left + (place * (index + 0.5)), middle[1], 66) }.join
      end
    end
  end
end
