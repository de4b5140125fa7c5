# frozen_string_literal: true

module Rungs
  class Problem
    # What is asked for, and what that makes of its numbers.
    module Unknown
      # @return ["add", "subtract"] what a teacher files it under: add where the unknown is the whole
      def operation = unknown == :whole ? "add" : "subtract"

      def add? = operation == "add"

      # @return [Integer] the number asked for (for :both, one of the many right ones)
      def answer
        return whole if unknown == :whole

        unknown == :first ? first : second
      end

      # @return [Integer] the part that is given, where a part is sought
      def given = unknown == :first ? second : first

      def sought = whole - given

      # A part is missing and nothing leaves: p + □ = w, or a story told that way.
      def missing_part? = situation ? situation.missing_part : !@equation.nil? && @equation.missing_part?

      def compare? = situation ? situation.compare? : false

      # □ − 5 = 7: what was taken is put back to find the whole.
      def put_back? = situation ? situation.put_back? : !@equation.nil? && @equation.put_back?

      # @return [Array<Integer>] the parts in the order they are put together: 7 and 5 for □ − 5 = 7
      def addends = put_back? ? parts.reverse : parts

      # Many numbers are right: both parts are sought, or the story is open.
      def many_answers? = unknown == :both || (situation ? situation.open : false)

      # @param said [Integer] a child's answer
      def right?(said)
        return said == answer unless many_answers?

        unknown == :both ? said.between?(0, whole) : said >= 0
      end
    end
  end
end
