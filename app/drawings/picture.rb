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
    # @param places [Array<Rungs::Picture::Mark>] what can be pressed, each said by its place
    # @param most [Numeric] so many times as long as high: of what is longer the middle is shown
    def self.draw(layout, css: "picture", label: layout.alt, loops: [], tappable: false, places: [],
                  most: Float::INFINITY)
      new(layout, loops, tappable, places).draw(css, label, most)
    end

    def initialize(layout, loops, tappable, places)
      @layout = layout
      @loops = loops
      @tappable = tappable
      @places = places
    end

    # Where things came from lies under everything; loops lie under the things they gather, and on what those stand on.
    def drawn
      shapes = @layout.marks.map { |mark| [mark, Shapes.new(mark)] }
      under, over = @loops.any? || @tappable ? shapes.partition { |mark, _| mark.order.nil? } : [[], shapes]
      traces = shapes.map { |_, shape| shape.trace }
      [*traces, *under.map { |_, shape| shape.draw }, *loops, *over.map { |mark, shape| tapped(mark, shape.draw) },
       *touched].join
    end

    # What can be pressed lies over everything, unseen.
    def touched
      @places.each_with_index.map do |mark, place|
        box = Svg.tag(:rect, x: Shapes.at(mark.x), y: Shapes.at(mark.y), width: mark.width * UNIT,
                             height: mark.height * UNIT, fill: "transparent")
        Svg.tag(:g, box, role: "button", tabindex: 0, data_touch: place, aria_label: mark.text || "place #{place + 1}")
      end
    end

    def loops
      @loops.each_with_index.map do |orders, index|
        Shapes.loop_around(@layout.marks.select do |mark|
          orders.include?(mark.order)
        end, index)
      end
    end

    def tapped(mark, drawn) = @tappable && mark.order ? Svg.tag(:g, drawn, data_order: mark.order) : drawn

    def draw(css, label, most = Float::INFINITY)
      width, height = [@layout.width, @layout.height].map { |units| (units * UNIT) + (2 * MARGIN) }
      shown = [width, height * most].min
      Svg.picture(shown, height, drawn, label: label, css: css, role: @places.any? ? "group" : "img",
                                        left: (width - shown) / 2)
    end
  end
end
