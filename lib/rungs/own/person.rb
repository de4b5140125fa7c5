# frozen_string_literal: true

module Rungs
  module Own
    # Somebody in stories: a name, or what somebody is ("the baker").
    class Person < Written.of(:name)
      writes "person", "Somebody"

      LETTERS = 30

      # Names of a story are told apart by commas.
      def self.checked(typed)
        name = typed.text("name", "the name", most: LETTERS)
        typed.fault("a name has no comma") if name&.include?(",")
        { name: name }
      end

      def said = name
      def json_fields = to_h.transform_keys(&:to_s)
    end
  end
end
