# frozen_string_literal: true

module Rungs
  module Picture
    # One thing in a picture. Places and sizes are in units; one counter or cell is one unit wide.
    #
    # shape: :cell, :counter, :thing … as the drawings know it. x, y: its upper left corner. width, height. tone: :a
    # or :b, the two kinds of counter; nil where it has none. group: which part it belongs to, from 0. order: its
    # place in the counting, from 1. state: :struck, :hidden, :moved, :new or nil. text: a numeral or a name. points: for
    # lines and jumps, [[x, y], …]. from: where a moved thing came from, [x, y].
    Mark = Struct.new(:shape, :x, :y, :width, :height, :tone, :group, :order, :state, :text, :points, :from, keyword_init: true) do
      def initialize(width: 1, height: 1, **rest)
        super
        freeze
      end
    end
  end
end
