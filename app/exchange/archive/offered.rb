# frozen_string_literal: true

module Exchange
  module Archive
    # A child that another class of this installation offers, as a file of it would read.
    class Offered
      # @param child [Records::Child]
      def initialize(child)
        @room = child.classroom
        @content = Content.new(child.classroom, Holding.handed([child]))
      end

      def holds = "children"
      def named = @room.named
      def document = @document ||= @content.to_h

      # @yield [Proc] the name of a photo → its bytes
      def within
        photos = @content.photos.to_h { |number, bytes| [Archive.photo(number), bytes] }
        yield photos.method(:fetch)
      end
    end
  end
end
