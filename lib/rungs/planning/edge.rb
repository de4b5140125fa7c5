# frozen_string_literal: true

module Rungs
  module Planning
    # How far one child gets in one operation before a week (guide 11): the highest range that carries, or the next
    # where the child is ready there.
    #
    #   Edge.new(heard, on: monday, year: "first").range  # => "to10"
    class Edge
      # Records that tell before there is an edge; of a range that carries, on so many days, of which so many are right.
      LEAST = 2
      CARRYING = 3
      ON_DAYS = 2
      RIGHT = Rational(2, 3)
      # No range above the first ten carries who counts all in so many of the latest answers below it.
      LATEST = 4
      COUNTED = 3
      ABOVE = "to10"
      # Comes after the partners of ten, or ways through ten.
      THROUGH_TEN = "bridge"
      WAYS = (3..4)

      # @param heard [Heard]
      # @param on [Date] the first day of the week
      # @param year ["first", "kindergarten"]
      # @param aimed [Boolean] whether weeks have aimed at every rung to ten
      def initialize(heard, on:, year:, aimed: false)
        @heard = heard
        @on = on
        @year = year
        @aimed = aimed
      end

      # @return [String, nil] nil where too little was heard
      def range
        return if ranges.sum { |each| @heard.count(each) } < LEAST

        there = carried(telling_since(@on - Ready::DAYS)) || carried_once
        there ||= ranges.find { |each| @heard.count(each).positive? }
        edge = ready?(there) ? following(there) : there
        edge == THROUGH_TEN || there == THROUGH_TEN ? through_ten(edge) : edge
      end

      private

      def ranges = Ranges::OF_YEAR.fetch(@year)
      def following(range) = Ranges.following(range, @year) || range
      def ready?(range) = Ready.in?(@heard, band: range, on: @on, year: @year, aimed: @aimed)

      # By range, what was heard from a day on.
      def telling_since(from) = ranges.to_h { |range| [range, @heard.telling(range, from: from)] }

      # @param late [Hash{String => Array<Progress::Record>}]
      # @return [String, nil] the highest range that carries in them
      def carried(late) = ranges.reverse.find { |range| carries?(late, range) }

      # In any so many days of the last year: those that end with an answer, or begin after one.
      def carried_once
        year = telling_since(@on - Ready::YEAR)
        days = year.values.flatten.map(&:day).uniq
        windows = (days + days.map { |day| day + Ready::DAYS }).uniq.select { |day| day < @on }
                                                               .map { |last| within(year, last) }
        ranges.reverse.find { |range| windows.any? { |late| carries?(late, range) } }
      end

      # What was heard in so many days, looked up where it is asked for.
      def within(year, last)
        Hash.new do |found, range|
          records = year.fetch(range)
          first = records.bsearch_index { |record| record.day > last - Ready::DAYS } || records.size
          found[range] = records[first...(records.bsearch_index { |record| record.day > last } || records.size)]
        end
      end

      def carries?(late, range)
        records = late[range]
        records.size >= CARRYING && records.map(&:day).uniq.size >= ON_DAYS &&
          records.count { |record| good?(record, range) } >= RIGHT * records.size && !counts_below?(late, range)
      end

      def good?(record, range)
        record.right && record.alone? && record.rung >= (Ready.rung(range, year: @year) ? Ready::COUNT_ON : 1)
      end

      def counts_below?(late, range)
        below = ranges.drop(ranges.index(ABOVE)).take_while { |each| each != range }
        Ranges.beyond?(range, ABOVE) && below.any? do |each|
          late[each].last(LATEST).count { |record| record.rung == 1 } >= COUNTED
        end
      end

      # The partners of ten come first.
      def through_ten(edge)
        shown = [@on - Ready::DAYS, nil].any? do |from|
          @heard.telling(THROUGH_TEN, from: from).any? do |record|
            record.right && record.alone? && WAYS.cover?(record.rung)
          end
        end
        shown || @heard.partners? ? edge : ABOVE
      end
    end
  end
end
