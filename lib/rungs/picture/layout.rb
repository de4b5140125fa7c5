# frozen_string_literal: true

module Rungs
  module Picture
    # A picture ready to be drawn: its size in units, its marks from back to front, and what it shows in words.
    Layout = Struct.new(:width, :height, :marks, :alt, keyword_init: true) do
      # The picture it was laid out from, where it can be worked with; it is no part of what is drawn.
      # @return [Kind, nil]
      attr_reader :kind

      def initialize(kind: nil, **drawn)
        super(**drawn)
        @kind = kind
        freeze
      end

      # The same with some things changed, still of the picture it was laid out from.
      def with(**changes) = Layout.new(**to_h, kind: kind, **changes)

      def counters = marks.select(&:order)
    end
  end
end
