# frozen_string_literal: true

module Rungs
  module Planning
    # What a week is for: an operation, a range and the rung that is to show there; and its “I can” (guide 11).
    Aim = Struct.new(:operation, :range, :rung, :year, keyword_init: true) do
      include With

      def initialize(year: "first", **more) = super

      # @return [String] "I can start from a number and count on."
      def i_can
        said = self.class::SAYINGS
        nearest = [rung, 3, 2, 4].find { |level| said.key?([range, level]) }
        "I can #{said.fetch([range, nearest])[operation == 'add' ? 0 : 1]}."
      end

      # @return [Array<Integer>] the rungs that are aimed at in a range, in their order
      def self.row(range, year = "first")
        beginners = self::BEGINNERS[range] if year == "kindergarten"
        beginners || (self::SAYINGS.keys.filter_map do |there, level|
          level if there == range
        end - self::ELSE.fetch(range, []))
      end

      # @return [Integer] the rung for a child who was not heard enough in a range
      def self.first(range, year = "first") = range == "to5" ? 3 : row(range, year).first

      # @return [Problem::Band] its range
      def band = Problem::Band::ALL.fetch(range)

      # @return [Aim, nil] of the next rung that the range affords; nil where this is the last
      def above
        row = self.class.row(range, year)
        higher = row[row.index(rung) + 1] if row.include?(rung)
        higher && self.class.new(operation: operation, range: range, rung: higher, year: year)
      end

      # Whether numbers fit it, by the rules for a next problem; any of the range where none of it are told apart.
      # @param fact [Array<Integer>] the smaller part first
      def fits?(fact)
        return false unless fact.min.positive? && fact.size == 2 && Problem::Band.of(fact) == range

        open? || wanted?(fact)
      end

      # @return [Array<Array<Integer>>] all that fit
      def facts = band.pairs.map(&:sort).uniq.select { |fact| fits?(fact) }

      private

      # Looked at once, since every draw asks.
      def wanted?(fact)
        self.class::WANTED.fetch([operation, rung, fact]) do |key|
          self.class::WANTED[key] = Progress::NextProblems.aims?(operation, fact, rung)
        end
      end

      def open?
        self.class::OPEN.fetch([operation, range, rung]) do |key|
          self.class::OPEN[key] = band.any_shows || band.telling_facts.none? { |fact| wanted?(fact) }
        end
      end
    end
    # By range and rung: adding, taking away.
    Aim::SAYINGS = {
      ["to5", 1] => ["put two groups together and count them", "take some away and count what is left"],
      ["to5", 3] => ["see two parts and say how many they are", "see the whole and say the part that hides"],
      ["to10", 1] => ["put two groups together and count them", "take some away and count what is left"],
      ["to10", 2] => ["start from a number and count on", "count back or up to what is left"],
      ["to10", 3] => ["use fives and doubles to add", "use a part I know to find the other part"],
      ["to10", 4] => ["find two numbers that make ten", "say what is missing from ten"],
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
    Aim::WANTED = {} # rubocop:disable Style/MutableConstant
    Aim::OPEN = {} # rubocop:disable Style/MutableConstant
    # The rung of who begins; what is aimed at only then; the order of beginners.
    Aim::BEGINNING = 1
    Aim::ELSE = { "to10" => [1] }.freeze
    Aim::BEGINNERS = { "to10" => [1, 3, 2] }.freeze
  end
end
