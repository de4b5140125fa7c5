# frozen_string_literal: true

module Rungs
  module Picture
    # One thing in a picture. Places and sizes are in units; one counter or cell is one unit wide.
    #
    # shape: :cell, :counter, :thing … as the drawings know it. x, y: its upper left corner. width, height. tone: :a or
    # :b, the two kinds of counter; nil where it has none. group: which part it belongs to, from 0. order: its place in
    # the counting, from 1. state: :struck (taken away), :ticked (counted), :hidden, :moved, :new or nil. text: a
    # numeral or a name. points: for lines and jumps, [[x, y], …]. from: where a moved thing came from, [x, y].
    Mark = Struct.new(:shape, :x, :y, :width, :height, :tone, :group, :order, :state, :text, :points, :from,
                      keyword_init: true) do
      def initialize(width: 1, height: 1, **rest)
        super
        freeze
      end

      # How high up it needs room: what moved across came in a bow above everything between.
      def top = from && (from[0] - x).abs > 0.1 ? [y, from[1]].min - Mark::BOW : y

      # The same, so much further to the right and down.
      def shifted(right, down)
        Mark.new(**to_h, x: x + right, y: y + down, points: points&.map { |px, py| [px + right, py + down] },
                         from: from && [from[0] + right, from[1] + down])
      end
    end

    # How far that bow reaches above what moved, in units.
    Mark::BOW = 0.9
  end
end
