# frozen_string_literal: true

module Rungs
  module Own
    # A question that a teacher asks beside a slip, in the place of Rungs' own.
    class Question < Written.of(:slip, :words)
      writes "question", "A question of your own"

      LETTERS = 160

      def self.checked(typed)
        { slip: typed.choice("slip", "slip", Slip::ALL.map(&:key)),
          words: typed.text("words", "the question", most: LETTERS) }
      end

      def said = "#{Slip::ALL.find { |each| each.key == slip }.title}: “#{words}”"
      def json_fields = to_h.transform_keys(&:to_s)
    end
  end
end
