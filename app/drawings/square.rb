# frozen_string_literal: true

require "concurrent/map"

module Drawings
  # The addition square as a map: p down, q across, each cell tinted by a rung, or empty. A cell may be a link, and may
  # carry a mark that says more: a filled dot (known), a ring (reasoned), a small stroke (counted).
  class Square
    SIZE, EDGE = 40, 34
    MARKS = %w[known reasoned counted].freeze
    DRAWN = Concurrent::Map.new
    private_constant :DRAWN

    # One cell: tint 1..5 or nil, mark of MARKS or nil, href where it can be pressed, its words.
    Cell = Struct.new(:tint, :mark, :href, :label, :chosen, keyword_init: true)

    # @param size [Integer] p and q go from 0 to it
    # @param whole [Integer] the largest whole shown
    # @yield [p, q] → Cell
    def initialize(size, whole: size * 2, &cell)
      @size = size
      @whole = whole
      @cell = cell
    end

    def draw(label:, corner: "+")
      long = EDGE + ((@size + 1) * SIZE) + 2
      Svg.picture(long, long, heads(corner) + cells, label: label, css: "fact-square", role: "group")
    end

    private

    def at(number) = EDGE + (number * SIZE)

    def heads(corner)
      numerals = (0..@size).flat_map do |number|
        middle = at(number) + (SIZE / 2)
        [head(number, middle, EDGE - 10), head(number, EDGE / 2, middle + 6)]
      end
      head(corner, EDGE / 2, EDGE - 10) + numerals.join
    end

    def head(text, x, y) = Svg.text(text.to_s, x: x, y: y, font_size: 17, fill: "#55617A", text_anchor: "middle")

    def cells = (0..@size).flat_map { |p| (0..@size).filter_map { |q| cell(p, q) if p + q <= @whole } }.join

    def cell(p, q)
      it = @cell.call(p, q)
      inside = DRAWN.compute_if_absent([p, q, it.tint, it.mark, it.chosen]) do
        inside(p, q, it)
      end + Svg.tag(:title, CGI.escapeHTML(it.label.to_s))
      it.href ? Svg.tag(:a, inside, href: it.href, aria_label: it.label) : Svg.tag(:g, inside)
    end

    # The same for everybody, so drawn once.
    def inside(p, q, it)
      x, y = at(q), at(p)
      fill = it.tint ? Timeline::TINTS[it.tint - 1] : "#FDFDFB"
      edge = it.chosen ? { stroke: "#17233A", stroke_width: 3.5 } : { stroke: "#b8c4d4", stroke_width: 1 }
      box = Svg.tag(:rect, x: x + 1.5, y: y + 1.5, width: SIZE - 3, height: SIZE - 3, rx: 2, fill: fill, **edge)
      ink = it.tint.to_i >= 4 ? "#FDFDFB" : "#17233A"
      box + Svg.text((p + q).to_s, x: x + (SIZE / 2), y: y + 26, font_size: 15, fill: ink,
                                   text_anchor: "middle") + mark(it.mark, x, y, ink)
    end

    def mark(kind, x, y, ink)
      case kind
      when "known" then Svg.tag(:circle, cx: x + SIZE - 8, cy: y + 9, r: 4.5, fill: ink)
      when "reasoned"
        Svg.tag(:circle, cx: x + SIZE - 8, cy: y + 9, r: 3.8, fill: "none", stroke: ink, stroke_width: 2)
      when "counted"
        Svg.tag(:line, x1: x + SIZE - 12, y1: y + 9, x2: x + SIZE - 4, y2: y + 9, stroke: ink, stroke_width: 2.4)
      else ""
      end
    end
  end
end
