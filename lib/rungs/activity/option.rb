# frozen_string_literal: true

module Rungs
  module Activity
    # One choice that an activity offers. choices: numbers or words, the first the default. names: a choice → its words.
    # fits: what of a class says which choice is good for it: :range (the smallest that reaches so far), :within (the
    # default, but none that goes further), :band, :operation or :situation; nil for nothing. reach: a choice → the
    # largest whole that it brings; the choice itself where that is not said.
    Option = Struct.new(:id, :label, :choices, :names, :fits, :reach, keyword_init: true) do
      # Numbers go to 5, 10, 20 or 100: ten and some go to 20.
      def self.round(largest) = [5, 10, 20].find { |size| size >= largest } || 100

      def default = choices.first

      # @param current_aim [Hash{Symbol => String}] the band and the operation that a class is at
      # @return [Integer, String] the choice for it; the default where nothing speaks for another
      def fit(current_aim)
        return far_enough(Problem::Band::ALL.fetch(current_aim[:band]).largest) if sized? && current_aim[:band]

        choices.include?(current_aim[fits]) ? current_aim[fits] : default
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

      # Whether its choices say how far the numbers go.
      def sized? = %i[range within].include?(fits)

      # @return [Integer, nil] the largest whole that a choice brings; nil where it has nothing to do with that
      def reach_of(choice)
        return unless sized?

        reach ? reach.call(choice) : choice
      end

      def to_h = { id: id, label: label, choices: choices, default: default }

      private

      def far_enough(largest)
        by_size = choices.sort_by { |choice| reach_of(choice) }
        return by_size.find { |choice| reach_of(choice) >= largest } || by_size.last if fits == :range
        return default if reach_of(default) <= largest

        by_size.reverse.find { |choice| reach_of(choice) <= largest } || by_size.first
      end
    end
  end
end
