# frozen_string_literal: true

module Drawings
  # One mark of a layout as SVG. A method a shape, named as the core names it.
  class Shapes
    INK, SOFT, PAPER, DESK = "#17233A", "#55617A", "#FDFDFB", "#E9EEF3"
    A, B, A_EDGE = "#F08A24", "#4453C4", "#8A4A0A"
    FONT = "Andika, sans-serif"

    LOOPS = ["#FFE26A", "#A3D0C4", "#C9CEF2", "#F6C8A0", "#E3B9C6"].freeze

    # A band under the marks of one group, round at its ends; each group in another tint, and dashed every other time.
    def self.loop_around(marks, index)
      points = marks.map { |mark| [mark.x + (mark.width / 2.0), mark.y + (mark.height / 2.0)].map { |units| Svg.number((units * Picture::UNIT) + Picture::MARGIN) }.join(",") }
      points *= 2 if points.size == 1
      Svg.tag(:polyline, points: points.join(" "), fill: "none", stroke: LOOPS[index % LOOPS.size], stroke_width: 46, stroke_linecap: "round", stroke_linejoin: "round")
    end

    def initialize(mark)
      @mark = mark
    end

    def draw = send(@mark.shape) + (@mark.state == :struck ? strike : "")

    # Where a moved thing came from: a faint place and a line to where it is.
    def trace
      return "" unless mark.from

      from = mark.from.map { |each| at(each) + 24 }
      lift = [from[1], middle[1]].min - 34
      Svg.tag(:circle, cx: from[0], cy: from[1], r: 15, fill: "none", stroke: SOFT, stroke_width: 2, stroke_dasharray: "4 4") +
        Svg.tag(:path, d: curve([from[0], from[1] - 15], [(from[0] + middle[0]) / 2, lift], [middle[0], middle[1] - 18]), fill: "none", stroke: SOFT, stroke_width: 2.4,
                       stroke_dasharray: "6 5")
    end

    private

    attr_reader :mark

    # Units to the drawing's own measure.
    def at(units) = (units * Picture::UNIT) + Picture::MARGIN
    def long(units) = units * Picture::UNIT
    def left = at(mark.x)
    def top = at(mark.y)
    def wide = long(mark.width)
    def high = long(mark.height)
    def middle = [left + (wide / 2.0), top + (high / 2.0)]
    def a? = mark.tone != :b

    # Solid for A, outlined for B.
    def toned(stroke: 4) = a? ? { fill: A, stroke: A_EDGE, stroke_width: 2 } : { fill: PAPER, stroke: B, stroke_width: stroke }

    def rect(inset: 0, radius: 0, **style)
      Svg.tag(:rect, x: left + inset, y: top + inset, width: wide - (2 * inset), height: high - (2 * inset), rx: radius, **style)
    end

    def circle(radius, **style) = Svg.tag(:circle, cx: middle[0], cy: middle[1], r: radius, **style)

    def words(text, x, y, size, **style)
      Svg.text(text, x: x, y: y + (size * 0.35), font_size: size, font_family: FONT, text_anchor: "middle", fill: INK, **style)
    end

    def path(points, **style)
      Svg.tag(:polyline, points: points.map { |x, y| "#{Svg.number(at(x))},#{Svg.number(at(y))}" }.join(" "), fill: "none", stroke: INK, stroke_width: 2.6, stroke_linecap: "round", **style)
    end

    def curve(from, over, to) = "M#{from.map { |each| Svg.number(each) }.join(' ')}Q#{(over + to).map { |each| Svg.number(each) }.join(' ')}"

    def cell = rect(fill: "none", stroke: INK, stroke_width: 2.4)

    def counter
      a? ? circle(17.5, fill: A) : circle(15, fill: PAPER, stroke: B, stroke_width: 5.5)
    end

    def thing = Svg.tag(:g, Thing.draw(mark.text, mark.tone), transform: "translate(#{Svg.number(left)} #{Svg.number(top)})")

    def strike
      x, y = middle
      Svg.tag(:line, x1: x - 17, y1: y + 17, x2: x + 17, y2: y - 17, stroke: INK, stroke_width: 4.5, stroke_linecap: "round")
    end

    def rod = Svg.tag(:line, x1: left, y1: middle[1], x2: left + wide, y2: middle[1], stroke: SOFT, stroke_width: 3, stroke_linecap: "round")
    def bead = mark.state == :hidden ? "" : circle(21, **toned(stroke: 6))
    def card = rect(radius: 4, fill: DESK, stroke: SOFT, stroke_width: 2)
    def segment = path(mark.points)
    def dot = circle(8, fill: A, stroke: A_EDGE, stroke_width: 1.5)

    def number
      strong = mark.state == :new
      words(mark.text, left, top, 31, font_weight: (strong ? 700 : nil), fill: strong ? INK : SOFT)
    end

    def jump
      (x1, y1), (x2, y2), (x3, y3) = mark.points.map { |x, y| [at(x), at(y)] }
      arc = Svg.tag(:path, d: curve([x1, y1], [x2, y2], [x3, y3]), fill: "none", stroke: B, stroke_width: 3.4)
      head = x3 <=> x1
      tip = Svg.tag(:path, d: "M#{Svg.number(x3 - (head * 9))} #{Svg.number(y3 - 11)}L#{Svg.number(x3)} #{Svg.number(y3)}L#{Svg.number(x3 + (head * 2))} #{Svg.number(y3 - 13)}",
                           fill: "none", stroke: B, stroke_width: 2.6)
      apex = (y1 + y2) / 2.0
      arc + tip + words(mark.text, x2, apex - 13, [19, long(mark.width) * 0.75].min.clamp(11, 19), font_weight: 700, fill: B)
    end

    def node
      hidden = mark.state == :hidden
      box = rect(radius: 6, fill: PAPER, stroke: mark.tone == :b ? B : INK, stroke_width: mark.tone == :b ? 4 : 2.6, stroke_dasharray: (hidden ? "8 6" : nil))
      dots = (hidden ? [] : mark.points.to_a).map { |x, y| Svg.tag(:circle, cx: at(x) + 6, cy: at(y) + 6, r: 5.6, fill: INK) }.join
      show = mark.points.nil? || mark.points.first.nil? || mark.points.first[1] > mark.y + 1
      y = mark.points.to_a.any? ? top + 34 : middle[1]
      box + dots + (if show || hidden
                      words(hidden ? "?" : mark.text, middle[0], hidden ? middle[1] : y, 44)
                    else
                      ""
                    end)
    end

    def pip = a? ? circle(15, fill: INK) : circle(12.5, fill: PAPER, stroke: B, stroke_width: 5.5)
    def tile = rect(inset: 3, radius: 14, fill: PAPER, stroke: INK, stroke_width: 2.6)

    def cube
      knob = Svg.tag(:rect, x: left + 15, y: top - 4, width: 18, height: 6, fill: a? ? A_EDGE : B)
      knob + rect(inset: 1.5, radius: 4, **toned) + (a? ? "" : circle(6, fill: B))
    end

    def link = Svg.tag(:ellipse, cx: left + 24, cy: top + 24, rx: 22, ry: 15, fill: "none", stroke: a? ? A : B, stroke_width: a? ? 9 : 4)

    def palm = rect(radius: 26, fill: "#F3D9C0", stroke: INK, stroke_width: 2.4)
    def finger = rect(radius: 15, fill: mark.state == :hidden ? "#E4C4A6" : "#F3D9C0", stroke: INK, stroke_width: 2.4)

    def stand
      x, = middle
      Svg.tag(:path, d: "M#{Svg.number(x)} #{Svg.number(top + 8)}L#{Svg.number(left + wide)} #{Svg.number(top + high)}H#{Svg.number(left)}Z", fill: DESK, stroke: INK, stroke_width: 2.6,
                     stroke_linejoin: "round")
    end

    def pan
      bowl = "M#{Svg.number(left)} #{Svg.number(top)}H#{Svg.number(left + wide)}Q#{Svg.number(middle[0])} #{Svg.number(top + (high * 2))} #{Svg.number(left)} #{Svg.number(top)}Z"
      Svg.tag(:path, d: bowl, fill: DESK, stroke: INK, stroke_width: 2.6)
    end

    def weight = rect(radius: 4, fill: PAPER, stroke: a? ? A : B, stroke_width: 4, stroke_dasharray: (mark.state == :hidden ? "8 6" : nil)) + words(mark.text, *middle, 32)

    # Ten sticks: five, and five behind them that look out between and above.
    def bundle
      apart = wide / 5.5
      sticks = [[0.5, 0], [0, 7]].flat_map do |shift, down|
        Array.new(5) { |index| Svg.tag(:rect, x: left + ((index + shift) * apart) + 0.5, y: top + down, width: apart - 1, height: high - down, rx: 3, **toned(stroke: 2)) }
      end
      sticks.join + Svg.tag(:rect, x: left - 2, y: middle[1] - 11, width: wide + 4, height: 22, rx: 3, fill: INK) + words(mark.text, *middle, 18, fill: PAPER, font_weight: 700)
    end

    def stick = rect(radius: 3, **toned(stroke: 2))

    def tens_rod
      cuts = (1..9).map { |index| top + (high * index / 10.0) }
      rect(**toned(stroke: 2.4)) + cuts.map { |y| Svg.tag(:line, x1: left, x2: left + wide, y1: y, y2: y, stroke: a? ? A_EDGE : B, stroke_width: 1.2) }.join
    end

    def unit = rect(**toned(stroke: 2.4))
    def value_card = rect(inset: 2, radius: 8, fill: PAPER, stroke: a? ? A_EDGE : B, stroke_width: 3.4) + value_digits

    # Each digit in the middle of its own place, so that a card laid over the zero hides just that.
    def value_digits
      digits = mark.text.chars
      place = wide / digits.size
      digits.each_with_index.map { |digit, index| words(digit, left + (place * (index + 0.5)), middle[1], 66) }.join
    end

    def bar
      hidden = mark.state == :hidden
      fill = { a: "#FBD9B4", b: PAPER }.fetch(mark.tone, DESK)
      rect(fill: hidden ? PAPER : fill, stroke: mark.tone == :b ? B : INK, stroke_width: mark.tone == :b ? 4 : 2.4,
           stroke_dasharray: (hidden ? "8 6" : nil)) + words(hidden ? "?" : mark.text, *middle, 34)
    end
  end
end
