# frozen_string_literal: true

module Rungs
  module Own
    # A thing that stories tell of: one of it, many, how many at most a person would have, and as what it is drawn.
    class Thing < Written.of(:one, :many, :most, :drawing)
      writes "thing", "A thing"

      LETTERS = 30
      MOST = (2..100)
      # Where nothing is like it.
      COUNTER = "counter"

      def self.checked(typed)
        { one: typed.word("one", "the word for one", most: LETTERS),
          many: typed.word("many", "the word for many", most: LETTERS),
          most: typed.number("most", "how many at most", MOST),
          drawing: typed.choice("drawing", "drawing", drawings) }
      end

      # @return [Array<String>] what there is a drawing of, and a plain counter
      def self.drawings = @drawings ||= [COUNTER, *Problem::Template::ALL.flat_map(&:things).uniq.sort].freeze

      def said = "#{one}, #{many}, #{most} at most"
      def json_fields = to_h.transform_keys(&:to_s)
    end
  end
end
