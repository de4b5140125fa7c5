# frozen_string_literal: true

module Rungs
  module Activity
    # One choice that an activity offers. choices: numbers or words, the first the default. names: a choice → its words.
    # fits: what of a class says which choice is good for it: :range, :band or :operation; nil for nothing.
    Option = Struct.new(:id, :label, :choices, :names, :fits, keyword_init: true) do
      def default = choices.first

      # @param at_work [Hash{Symbol => String}] the band and the operation that a class is at
      # @return [Integer, String] the choice for it; the default where nothing speaks for another
      def fit(at_work)
        return within(Problem::Band::ALL.fetch(at_work[:band]).largest) if fits == :range && at_work[:band]

        choices.include?(at_work[fits]) ? at_work[fits] : default
      end

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

      private

      # The smallest that reaches so far, else the largest there is.
      def within(largest) = choices.select { |choice| choice >= largest }.min || choices.max
    end
  end
end
