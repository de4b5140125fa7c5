# frozen_string_literal: true

module Sheets
  # One thing that can be chosen about a sheet. among: a list to choose one of, a range of numbers, or [false, true].
  # offered: what of them a source has to choose from, by its name where the source gives them names; nothing, and it
  # is not asked.
  Choice = Struct.new(:id, :label, :among, :usual, :names, :offered, keyword_init: true) do
    # @param source [Source]
    # @return [Array, Range, Hash{Object => String}] empty where there is nothing to choose
    def for(source) = offered ? offered.call(source) : among

    def say(value) = names ? names.fetch(value, value.to_s) : value.to_s
    def number? = among.is_a?(Range)
    def yes_no? = among == [false, true] && names.nil?

    # @param given [Object] as it was typed or kept
    # @return [Object] the value that is meant
    # @raise [Rungs::Error::Unknown] naming what there is
    def read(given)
      at = among.find_index { |value| value.to_s == given.to_s } unless number?
      return among[at] if at

      number = Integer(given.to_s, 10, exception: false) if number?
      return number if number && among.cover?(number)

      there = number? ? "it goes from #{among.min} to #{among.max}" : "there are #{among.compact.join(', ')}"
      raise Rungs::Error::Unknown, "there is no #{id.to_s.tr('_', ' ')} “#{given}”; #{there}"
    end
  end
end
