# frozen_string_literal: true

module Sheets
  class Cut
    # Blank ones, and counters of two kinds for them.
    class Frames < Cut
      entry id: "frames", title: "Frames and counters"
      size 170, 76

      private

      def cards = ([Rungs::Picture::Frame.new([0], size: 10)] * 2) + [Rungs::Picture::Frame.new([10, 10], size: 20)]
      def front(frame, *box) = picture(frame, *box, inset: 3)
    end
  end
end
