# frozen_string_literal: true

module Sheets
  # What sheets are about, as they ask it: here an activity by itself, as the command line has it. What a class, its
  # lesson and its records answer is in Printing::OfClass.
  class Source
    # @return [Rungs::Activity::Kind, nil] with its options
    attr_reader :kind

    # @param down [Boolean] whether sentences stand down the page
    def initialize(kind: nil, down: false)
      @kind = kind
      @down = down
    end

    # Whether sentences stand down the page, where a whole stands, whether 2 + 3 is another way than 3 + 2.
    # @return [Hash]
    def written = { down: @down, whole: :top, turned: "two" }

    # The part of a lesson it is about; its largest whole.
    def part = nil
    def largest = nil
  end
end
