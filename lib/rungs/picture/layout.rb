# frozen_string_literal: true

module Rungs
  module Picture
    # A picture ready to be drawn: its size in units, its marks from back to front, and what it shows in words.
    Layout = Struct.new(:width, :height, :marks, :alt, keyword_init: true) do
      # The picture it was laid out from, where it can be worked with; it is no part of what is drawn.
      # @return [Kind, nil]
      attr_accessor :kind

      def counters = marks.select(&:order)
    end
  end
end
