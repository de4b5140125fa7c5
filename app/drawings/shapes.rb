# frozen_string_literal: true

module Drawings
  # One mark of a layout as SVG. A method a shape, named as the core names it.
  class Shapes
    INK, SOFT, PAPER, DESK = "#17233A", "#55617A", "#FDFDFB", "#E9EEF3"
    A, B, A_EDGE = "#F08A24", "#4453C4", "#8A4A0A"
    FONT = "Andika, sans-serif"

    LOOPS = ["#FFE26A", "#A3D0C4", "#C9CEF2", "#F6C8A0", "#E3B9C6"].freeze

    # A band under the marks of one group, round at its ends; each group in another tint.
    def self.loop_around(marks, index)
      points = marks.map { |mark| "#{at(mark.x + (mark.width / 2.0))},#{at(mark.y + (mark.height / 2.0))}" }
      points *= 2 if points.size == 1
      Svg.tag(:polyline, points: points.join(" "), fill: "none", stroke: LOOPS[index % LOOPS.size], stroke_width: 46,
                         stroke_linecap: "round", stroke_linejoin: "round")
    end

    # Units to the drawing's own measure, as text.
    def self.at(units) = Svg.number((units * Picture::UNIT) + Picture::MARGIN)

    def initialize(mark)
      @mark = mark
    end

    def draw = send(@mark.shape) + (STATES.key?(@mark.state) ? send(STATES.fetch(@mark.state)) : "")

    # What is drawn over a thing in each state.
    STATES = { struck: :strike, ticked: :tick }.freeze
    private_constant :STATES

    # Where a moved thing came from: a faint place, and a line from its edge to where it is now.
    def trace
      return "" unless mark.from

      Svg.tag(:circle, cx: origin[0], cy: origin[1], r: GHOST, fill: "none", stroke: SOFT, stroke_width: 2,
                       stroke_dasharray: "4 4") +
        Svg.tag(:path, d: way_here, fill: "none", stroke: SOFT, stroke_width: 2.4, stroke_dasharray: "6 5")
    end

    # The radius of the faint place, and how far a line stays off a thing.
    GHOST = 15
    CLEAR = 20
    private_constant :GHOST, :CLEAR

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
    def toned(stroke: 4)
      a? ? { fill: A, stroke: A_EDGE, stroke_width: 2 } : { fill: PAPER, stroke: B, stroke_width: stroke }
    end

    def rect(inset: 0, radius: 0, **style)
      Svg.tag(:rect, x: left + inset, y: top + inset, width: wide - (2 * inset), height: high - (2 * inset),
                     rx: radius, **style)
    end

    def origin = mark.from.map { |each| at(each) + (Picture::UNIT / 2) }

    # Straight down where it only moved down; else in a bow above everything between.
    def way_here
      (x1, y1), (x2, y2) = origin, middle
      if (x1 - x2).abs < 1
        return "M#{Svg.number(x1)} #{Svg.number(y1 + GHOST)}L#{Svg.number(x2)} #{Svg.number(y2 - CLEAR)}"
      end

      curve([x1, y1 - GHOST], [(x1 + x2) / 2, [y1, y2].min - (Picture::UNIT * 1.35)], [x2, y2 - CLEAR])
    end

    def circle(radius, **style) = Svg.tag(:circle, cx: middle[0], cy: middle[1], r: radius, **style)

    def words(text, x, y, size, **style)
      Svg.text(text, x: x, y: y + (size * 0.35), font_size: size, font_family: FONT, text_anchor: "middle", fill: INK,
                     **style)
    end

    def path(points, **style)
      written = points.map { |x, y| "#{Svg.number(at(x))},#{Svg.number(at(y))}" }.join(" ")
      Svg.tag(:polyline, points: written, fill: "none", stroke: INK, stroke_width: 2.6, stroke_linecap: "round",
                         **style)
    end

    def curve(from, over, to)
      "M#{from.map { |each| Svg.number(each) }.join(' ')}Q#{(over + to).map { |each| Svg.number(each) }.join(' ')}"
    end

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

    def rod
      Svg.tag(:line, x1: left, y1: middle[1], x2: left + wide, y2: middle[1], stroke: SOFT, stroke_width: 3,
                     stroke_linecap: "round")
    end

    def bead = mark.state == :hidden ? "" : circle(21, **toned(stroke: 6))
    def card = rect(radius: 4, fill: DESK, stroke: SOFT, stroke_width: 2)
    def cover = rect(radius: 4, fill: DESK, stroke: "#B8C4D4", stroke_width: 3)

    # A cup upside down over what is hidden: narrower above.
    def cup
      points = [[0.35, 0.1], [1.65, 0.1], [1.95, 1.9], [0.05, 1.9]].map { |x, y| "#{at(mark.x + x)},#{at(mark.y + y)}" }
      Svg.tag(:polygon, points: points.join(" "), fill: DESK, stroke: SOFT, stroke_width: 2.6, stroke_linejoin: "round")
    end

    # A number that is out.
    def out
      inset = long(0.2)
      Svg.tag(:line, x1: left + inset, y1: top + high - inset, x2: left + wide - inset, y2: top + inset, stroke: INK,
                     stroke_width: 4, stroke_linecap: "round")
    end

    def segment = path(mark.points)
    def dot = circle(8, fill: A, stroke: A_EDGE, stroke_width: 1.5)

    NUMERAL = 31
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

    def weight
      dash = mark.state == :hidden ? "8 6" : nil
      rect(radius: 4, fill: PAPER, stroke: a? ? A_EDGE : B, stroke_width: 4,
           stroke_dasharray: dash) + words(mark.text, *middle, 32)
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
