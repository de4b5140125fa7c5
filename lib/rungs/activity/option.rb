# frozen_string_literal: true

module Rungs
  module Activity
    # One choice that an activity offers. choices: numbers or words, the first the default. names: a choice → its words.
    Option = Struct.new(:id, :label, :choices, :names, keyword_init: true) do
      def default = choices.first

      # @param given [Object] as typed or kept
      # @return [Integer, String] the choice that is meant
      # @raise [Error::Unknown] naming what there is
      def read(given)
        choices.find { |choice| choice.to_s == given.to_s } ||
          raise(Error::Unknown, "there is no #{id} “#{given}”; there are #{choices.join(', ')}")
      end

      # @return [String] a choice in words
      def say(choice) = names ? names.call(choice) : choice.to_s.tr("_", " ")
      def to_h = { id: id, label: label, choices: choices, default: default }
    end
  end
end
