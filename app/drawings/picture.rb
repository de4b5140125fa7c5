# frozen_string_literal: true

module Drawings
  # Draws any layout of the core: one drawing a shape (Shapes), the same on page, board and paper. Counter A is solid,
  # counter B a ring, so that a black-and-white copy still tells them apart.
  class Picture
    UNIT = 48
    MARGIN = 4

    # @param layout [Rungs::Picture::Layout]
    # @param label [String, nil] the text alternative; nil where words beside it say the same
    # @return [String] SVG
    # @param loops [Array<Array<Integer>>] groups of marks, by their order, to draw a loop around
    # @param tappable [Boolean] whether each counted mark says its order, for tapping
    def self.draw(layout, css: "picture", label: layout.alt, loops: [], tappable: false) = new(layout, loops, tappable).draw(css, label)

    def initialize(layout, loops, tappable)
      @layout = layout
      @loops = loops
      @tappable = tappable
    end

    # Where things came from lies under everything.
    def drawn
      shapes = @layout.marks.map { |mark| Shapes.new(mark) }
      shapes.map(&:trace).join + @loops.each_with_index.map { |orders, index| Shapes.loop_around(@layout.marks.select { |mark| orders.include?(mark.order) }, index) }.join +
        @layout.marks.zip(shapes).map { |mark, shape| @tappable && mark.order ? Svg.tag(:g, shape.draw, data_order: mark.order) : shape.draw }.join
    end

    def draw(css, label)
      width, height = [@layout.width, @layout.height].map { |units| (units * UNIT) + (2 * MARGIN) }
      Svg.picture(width, height, drawn, label: label, css: css)
    end
  end
end
