# frozen_string_literal: true

module Rungs
  module Planning
    # What is listened for on the last two days (guide 11): everybody present once, on one of four like facts.
    #
    #   facts: Array<Problem>. days: Array<Date>. needed: how many right ones, alone, on the aim's rung or above, of
    #   present: how many children there are.
    Check = Struct.new(:facts, :days, :needed, :present, keyword_init: true) do
      # @param aim [Aim]
      # @return [Check]
      def self.of(aim, days:, present:, random:)
        problems = aim.band.partners && aim.rung == 4 ? of_ten(aim, random) : of_facts(aim, random)
        new(facts: problems, days: days.last(Shape::CHECKED), needed: (present * self::SHARE).ceil, present: present)
      end

      # Those that fit, but not all with a nine where there are others; then any of the range.
      def self.of_facts(aim, random)
        there = aim.band.telling_facts.shuffle(random: random).lazy
        nines, others = [true, false].map do |nine|
          there.select { |fact| fact.include?(9) == nine && aim.fits?(fact) }.first(self::FACTS)
        end
        facts = (others.first(self::FACTS - 1) + nines + others.drop(self::FACTS - 1)).first(self::FACTS)
        facts |= there.first(self::FACTS) if facts.size < self::FACTS
        facts.first(self::FACTS).map { |smaller, larger| Problem::Pool.bare(aim.operation, larger, smaller) }
      end

      # The partners of ten that tell, either way round or with a box.
      def self.of_ten(aim, random)
        pairs = Progress::NextProblems::History::PARTNERS
        asked = (pairs + [pairs.sample(random: random)]).each_with_index.map do |(less, more), place|
          next Problem::Equation.parse("#{less} + ? = 10").to_problem if place == pairs.size

          Problem::Pool.bare(aim.operation, *[more, less].rotate(place))
        end
        asked.uniq(&:to_s)
      end

      private_class_method :of_facts, :of_ten

      # Whether the aim counts as reached.
      # @param latest [Array<Progress::Record>] the latest answer of each child who was heard on it
      def reached?(latest, aim)
        heard = latest.size
        return false if heard < present * self.class::SHARE || heard.zero?

        latest.count { |record| reached_by?(record, aim) } >= heard * self.class::SHARE
      end

      # Who goes on with it in a group of their own, where it is reached.
      # @param latest [Hash{Object => Progress::Record}] by child
      # @return [Array]
      def not_there(latest, aim) = latest.reject { |_, record| reached_by?(record, aim) }.keys

      # Right and alone on the aim's rung or above, or on one that serves for it.
      def reached_by?(record, aim)
        least = aim.band.serves.fetch(aim.rung, aim.rung)
        record.right && record.alone? && record.on_ladder? && record.rung >= least
      end

      def to_h = { facts: facts.map(&:to_s), days: days.map(&:iso8601), needed: needed, present: present }
    end
    Check::FACTS = 4
    Check::SHARE = Rational(2, 3)
  end
end
