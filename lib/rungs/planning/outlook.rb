# frozen_string_literal: true

module Rungs
  module Planning
    # What a week is about beside its days (guide 11): the check, other numbers, who is heard by an adult or got to
    # know.
    class Outlook
      # child: who works two ranges or more from the class. range: where. equation: numbers to give.
      OtherNumbers = Struct.new(:child, :range, :equation, keyword_init: true)
      # How many have a check-in on a day, while the others play with things; minutes with an adult, and on which days.
      CHECK_INS = 4
      MINUTES = 10
      WITH_ADULT = [0, 2].freeze

      attr_reader :aim, :standing

      # @param days [Array<Date>] school days, in order
      # @param aim [Aim]
      # @param standing [Standing] of the aim's operation
      # @param seed [Integer]
      def initialize(days:, aim:, standing:, seed:)
        @dates = days
        @aim = aim
        @standing = standing
        @seed = seed
      end

      # Whether children are only got to know: then nothing is checked, and nothing counts as new.
      def getting_to_know? = standing.unheard?

      # Whether the range is new to the class: until everybody was heard in it, it is done with things and pictures.
      def new_range? = !getting_to_know? && standing.new_to?(aim.range)

      # @return [Check, nil]
      def check
        return if getting_to_know? || @dates.size <= Shape::CHECKED

        @check ||= Check.of(aim, days: @dates, present: standing.size, random: Random.new(@seed))
      end

      # @return [Array<OtherNumbers>]
      def other_numbers
        random = Random.new(@seed)
        standing.far_from(aim.range).map do |child, range|
          problem = Problem::Pool.of(aim.operation, range).problems.select(&:tells?).sample(random: random)
          OtherNumbers.new(child: child, range: range, equation: problem.to_s)
        end
      end

      # Who counts everything from one below the range: named with the days, and after how many minutes of the lesson.
      # @param starts [Hash{Date => Integer}] by day, the minute at which the others begin to practise
      # @return [Array<Hash{Symbol => Object}>] child, days, minutes, at
      def with_adult(starts = {})
        days = WITH_ADULT.map { |index| @dates[[index, @dates.size - 1].min] }.uniq
        at = days.map { |day| starts.fetch(day, 0) }
        standing.counting_all_below(aim.range).map do |child|
          { child: child, days: days.map(&:iso8601), minutes: MINUTES, at: at }
        end
      end

      # Whom to have a check-in with on each day.
      # @return [Hash{Date => Array}] empty where the class is known
      def check_ins
        return {} unless getting_to_know?

        waiting = standing.names - standing.edges.keys
        @dates.zip(waiting.each_slice(CHECK_INS)).to_h.compact
      end
    end
  end
end
