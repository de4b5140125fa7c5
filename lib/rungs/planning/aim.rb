# frozen_string_literal: true

module Rungs
  module Planning
    # What a week is for: an operation, a range and the rung that is to show there; and its “I can” (guide 11).
    Aim = Struct.new(:operation, :range, :rung, keyword_init: true) do
      # @return [String] "I can start from a number and count on."
      def i_can
        said = self.class::SAYINGS
        nearest = [rung, 3, 2, 4].find { |level| said.key?([range, level]) }
        "I can #{said.fetch([range, nearest])[operation == 'add' ? 0 : 1]}."
      end

      # @return [Array<Integer>] the rungs that may be aimed at in a range
      def self.rungs(range) = self::SAYINGS.keys.filter_map { |there, level| level if there == range }

      # @return [Problem::Band] its range
      def band = Problem::Band::ALL.fetch(range)

      # @return [Aim] for a rung that the range has: this one, else the next below, else the lowest
      def within
        rungs = self.class.rungs(range)
        there = rungs.select { |level| level <= rung }.max || rungs.min
        self.class.new(operation: operation, range: range, rung: there)
      end

      # @return [Aim, nil] of the next rung that the range affords; nil where this is the last
      def above
        higher = self.class.rungs(range).select { |level| level > rung }.min
        higher && self.class.new(operation: operation, range: range, rung: higher)
      end

      # @return [Array<Array<Integer>>] the facts whose numbers fit it, by the rules for a next problem; all of the
      #   range where any will do
      def facts
        fit = Progress::NextProblems.facts(operation, range, rung).to_a unless band.any_shows
        fit.nil? || fit.empty? ? band.pairs.map(&:sort).uniq.reject { |fact| fact.min.zero? } : fit
      end
    end
    # By range and rung: adding, taking away.
    Aim::SAYINGS = {
      ["to5", 1] => ["put two groups together and count them", "take some away and count what is left"],
      ["to5", 2] => ["start from one group and count on", "count back to what is left"],
      ["to5", 3] => ["see two parts and say how many they are", "see the whole and say the part that hides"],
      ["to10", 1] => ["put two groups together and count them", "take some away and count what is left"],
      ["to10", 2] => ["start from a number and count on", "count back or up to what is left"],
      ["to10", 3] => ["use fives and doubles to add", "use a part I know to find the other part"],
      ["to10", 4] => ["find two numbers that make ten", "say what is missing from ten"],
      ["teens", 2] => ["start from ten and count on", "count back to ten"],
      ["teens", 3] => ["add ten and some without counting", "take a teen number apart into ten and ones"],
      ["bridge", 2] => ["count on from the larger number", "count back or up past ten"],
      ["bridge", 3] => ["use a double to add past ten", "use an adding fact to take away"],
      ["bridge", 4] => ["make ten first and then add the rest", "go through ten to take away"],
      ["to20", 2] => ["count on from a teen number", "count back from a teen number"],
      ["to20", 3] => ["keep the ten and add the ones", "keep the ten and take the ones"],
      ["tens", 2] => ["count on by tens", "count back by tens"],
      ["tens", 3] => ["use 3 + 4 to add 30 and 40", "use 7 − 3 to take 30 from 70"],
      ["to100", 2] => ["add by tens and then by ones", "take away by tens and then by ones"],
      ["to100", 3] => ["add tens and ones in parts", "take the tens and then the ones"],
      ["to100", 4] => ["go to the next ten and then on", "go back to a ten and then on"]
    }.freeze
  end
end
