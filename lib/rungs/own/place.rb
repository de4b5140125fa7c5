# frozen_string_literal: true

module Rungs
  module Own
    # Where stories happen, as it is said in one: "in the garden".
    class Place < Written.of(:where)
      writes "place", "A place"

      LETTERS = 40

      def self.checked(typed) = { where: typed.word("where", "the place", most: LETTERS) }
      def said = where
      def json_fields = to_h.transform_keys(&:to_s)
    end
  end
end
