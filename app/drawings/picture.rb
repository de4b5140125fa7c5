# frozen_string_literal: true

module Drawings
  # Draws any layout of the core: one drawing a shape, the same on page, board and paper. Counter A is solid, counter B
  # a ring, so that a black-and-white copy still tells them apart.
  class Picture
    UNIT = 48
    MARGIN = 3
    INK, A, B = "#17233A", "#F08A24", "#4453C4"

    # @param layout [Rungs::Picture::Layout]
    def self.draw(layout, css: "picture", label: layout.alt) = new(layout).draw(css, label)

    def initialize(layout)
      @layout = layout
    end

    def draw(css, label)
      marks = @layout.marks.map { |mark| place(mark) }.join
      Svg.picture((@layout.width * UNIT) + (2 * MARGIN), (@layout.height * UNIT) + (2 * MARGIN), marks, label: label, css: css)
    end

    private

    def place(mark)
      struck = mark.state == :struck ? strike : ""
      Svg.tag(:g, send(mark.shape, mark) + struck, transform: "translate(#{Svg.number((mark.x * UNIT) + MARGIN)} #{Svg.number((mark.y * UNIT) + MARGIN)})")
    end

    def cell(mark) = Svg.tag(:rect, width: mark.width * UNIT, height: mark.height * UNIT, fill: "none", stroke: INK, stroke_width: 2.4)

    def counter(mark)
      return Svg.tag(:circle, cx: 24, cy: 24, r: 17, fill: A, stroke: A, stroke_width: 2) if mark.tone == :a

      Svg.tag(:circle, cx: 24, cy: 24, r: 15, fill: "#FDFDFB", stroke: B, stroke_width: 5.5)
    end

    def thing(mark) = Thing.draw(mark.text, mark.tone)
    def strike = Svg.tag(:line, x1: 7, y1: 41, x2: 41, y2: 7, stroke: INK, stroke_width: 4, stroke_linecap: "round")
  end
end
