# frozen_string_literal: true

module Drawings
  # One mark of a layout as SVG. A method a shape, named as the core names it.
  class Shapes
    include Counting
    include Lines
    include Material

    INK = "#17233A"
    SOFT = "#55617A"
    PAPER = "#FDFDFB"
    DESK = "#E9EEF3"
    A = "#F08A24"
    B = "#4453C4"
    A_EDGE = "#8A4A0A"
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

    # As it is told; else straight down where it only moved down, or in a bow above everything between.
    def way_here
      return along(mark.points) if mark.points

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

    def along(points)
      "M#{points.map { |x, y| "#{Svg.number(at(x))} #{Svg.number(at(y))}" }.join('L')}"
    end

    def curve(from, over, to)
      "M#{from.map { |each| Svg.number(each) }.join(' ')}Q#{(over + to).map { |each| Svg.number(each) }.join(' ')}"
    end
  end
end
