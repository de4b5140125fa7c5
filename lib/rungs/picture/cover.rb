# frozen_string_literal: true

module Rungs
  module Picture
    # A picture that is covered: nothing of it can be seen.
    class Cover
      include Kind

      def initialize(words = "The picture is covered")
        @words = words
      end

      # @return [Layout]
      def layout = lay([mark(:cover, x: 0, y: 0, width: 6, height: 3.4)], @words)
    end
  end
end
