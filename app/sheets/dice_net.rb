# frozen_string_literal: true

module Sheets
  # A die to cut, fold and glue: whole lines are cut, dashed ones folded.
  class DiceNet
    # A cross of six faces, by column and row; opposite faces make seven. Between faces it is folded.
    FACES = { 1 => [1, 0], 2 => [0, 1], 3 => [1, 1], 5 => [2, 1], 4 => [3, 1], 6 => [1, 2] }.freeze
    # Where a tab is glued under: a face, and the way out of it.
    TABS = [[1, [-1, 0]], [1, [1, 0]], [1, [0, -1]], [6, [-1, 0]], [6, [1, 0]], [6, [0, 1]], [4, [1, 0]]].freeze
    TAB = 7

    # @param paper [Paper]
    def initialize(paper)
      @paper = paper
    end

    # In a box: its left, top, width and height.
    def draw(left, top, wide, high)
      side = [(wide - 12) / 4.2, (high - 18) / 3.0].min
      at = ->((column, row)) { [left + 4 + (column * side), top + 9 + (row * side)] }
      FACES.each do |face, place|
        x, y = at.call(place)
        paper.box(x, y, side, side, color: Paper::INK)
        dots = Rungs::Picture::Dots.new("die", [face]).layout
        paper.draw(dots, x: x + 3, y: y + 3, width: side - 6, height: side - 6, align: :center)
      end
      TABS.each { |face, out| tab(*at.call(FACES.fetch(face)), side, out) }
      folds.each { |face, (right, down)| fold(*at.call(FACES.fetch(face)), side, right, down) }
    end

    private

    attr_reader :paper

    # A tab narrows away from its face.
    def tab(x, y, side, (right, down))
      middle = [x + (side / 2) + (right * side / 2), y + (side / 2) + (down * side / 2)]
      along = [down.abs, right.abs]
      near, far = [side / 2, (side / 2) - 5].map do |reach|
        [-1, 1].map { |way| [middle[0] + (along[0] * reach * way), middle[1] + (along[1] * reach * way)] }
      end
      far = far.map { |fx, fy| [fx + (right * TAB), fy + (down * TAB)] }
      [[near[0], far[0]], far, [far[1], near[1]]].each { |from, to| paper.line(*from, *to) }
      fold(x, y, side, right, down)
    end

    # Each edge between two faces once.
    def folds
      FACES.flat_map do |face, (column, row)|
        [[1, 0], [0, 1]].select { |right, down| FACES.value?([column + right, row + down]) }.map { |way| [face, way] }
      end
    end

    # Over the whole line, in white, and then dashed.
    def fold(x, y, side, right, down)
      from = [x + (right.positive? ? side : 0), y + (down.positive? ? side : 0)]
      to = right.zero? ? [from[0] + side, from[1]] : [from[0], from[1] + side]
      paper.line(*from, *to, color: "FFFFFF", thick: 0.6)
      paper.line(*from, *to, dashed: true)
    end
  end
end
