# frozen_string_literal: true

require "concurrent/map"

module Drawings
  # Facts as a map: one number down, one across, the whole in the cell, tinted by a rung, or empty. A cell may be a
  # link, and may carry a mark that says more: a filled dot (known), a ring (reasoned), a small stroke (counted), a
  # cross (wrong).
  class Square
    SIZE = 40
    EDGE = 34
    MARKS = %w[known reasoned counted wrong].freeze
    DRAWN = Concurrent::Map.new
    private_constant :DRAWN

    # One cell: tint 1..5 or nil, mark of MARKS or nil, href where it can be pressed, its words. bare: the whole alone,
    # of a fact that is not what the map is about.
    Cell = Struct.new(:tint, :mark, :href, :label, :chosen, :bare, keyword_init: true)

    # @param numbers [Array<Integer>] down and across
    # @yield [p, q] → Cell, or nil where there is none
    def initialize(numbers, &cell)
      @numbers = numbers
      @cell = cell
    end

    def draw(label:, corner: "+")
      long = EDGE + (@numbers.size * SIZE) + 2
      Svg.picture(long, long, heads(corner) + cells, label: label, css: "fact-square", role: "group")
    end

    private

    def at(place) = EDGE + (place * SIZE)

    def heads(corner)
      numerals = @numbers.each_with_index.flat_map do |number, place|
        middle = at(place) + (SIZE / 2)
        [head(number, middle, EDGE - 10), head(number, EDGE / 2, middle + 6)]
      end
      head(corner, EDGE / 2, EDGE - 10) + numerals.join
    end

    def head(text, x, y) = Svg.text(text.to_s, x: x, y: y, font_size: 17, fill: "#55617A", text_anchor: "middle")

    def cells
      @numbers.each_with_index.flat_map do |p, row|
        @numbers.each_with_index.filter_map { |q, column| @cell.call(p, q)&.then { |it| cell(it, p + q, row, column) } }
      end.join
    end

    def cell(it, whole, row, column)
      return head(whole, at(column) + (SIZE / 2), at(row) + 26) if it.bare

      drawn = DRAWN.compute_if_absent([whole, row, column, it.tint, it.mark, it.chosen]) do
        inside(it, whole, at(column), at(row))
      end
      inside = drawn + Svg.tag(:title, CGI.escapeHTML(it.label.to_s))
      it.href ? Svg.tag(:a, inside, href: it.href, aria_label: it.label) : Svg.tag(:g, inside)
    end

    # The same for everybody, so drawn once.
    def inside(it, whole, x, y)
      fill = it.tint ? Timeline::TINTS[it.tint - 1] : "#FDFDFB"
      edge = it.chosen ? { stroke: "#17233A", stroke_width: 3.5 } : { stroke: "#b8c4d4", stroke_width: 1 }
      box = Svg.tag(:rect, x: x + 1.5, y: y + 1.5, width: SIZE - 3, height: SIZE - 3, rx: 2, fill: fill, **edge)
      ink = it.tint.to_i >= 4 ? "#FDFDFB" : "#17233A"
      box + Svg.text(whole.to_s, x: x + (SIZE / 2), y: y + 26, font_size: 15, fill: ink,
                                 text_anchor: "middle") + mark(it.mark, x, y, ink)
    end

    def mark(kind, x, y, ink)
      case kind
      when "known" then Svg.tag(:circle, cx: x + SIZE - 8, cy: y + 9, r: 4.5, fill: ink)
      when "reasoned"
        Svg.tag(:circle, cx: x + SIZE - 8, cy: y + 9, r: 3.8, fill: "none", stroke: ink, stroke_width: 2)
      when "counted"
        Svg.tag(:line, x1: x + SIZE - 12, y1: y + 9, x2: x + SIZE - 4, y2: y + 9, stroke: ink, stroke_width: 2.4)
      when "wrong"
        [[-12, 5, -4, 13], [-12, 13, -4, 5]].map do |left, top, right, bottom|
          Svg.tag(:line, x1: x + SIZE + left, y1: y + top, x2: x + SIZE + right, y2: y + bottom, stroke: "#B3261E",
                         stroke_width: 2)
        end.join
      else ""
      end
    end
  end
end
