# frozen_string_literal: true

module Rungs
  module Planning
    # The ranges a class works in, in the order in which it widens (guide 11).
    #
    #   Ranges.apart("to10", "bridge")  # => 2
    module Ranges
      ORDER = Problem::Band::ORDER
      # Those that are looked at in a year.
      OF_YEAR = { "kindergarten" => ORDER.take(3), "first" => ORDER }.freeze

      module_function

      # @param range [String] a band
      # @return [Integer] its place, from 0
      def place(range) = ORDER.index(range)

      # @return [Integer] how many steps lie between two
      def apart(one, other) = (place(one) - place(other)).abs
      def nearer(*ranges) = ranges.min_by { |range| place(range) }
      def beyond?(one, other) = place(one) > place(other)

      # @return [Array<String>] it and those before it, the nearest first
      def up_to(range) = ORDER.take(place(range) + 1).reverse

      # @return [String, nil] nil after the last that is looked at in a year
      def following(range, year = "first") = OF_YEAR.fetch(year)[place(range) + 1]
    end
  end
end
