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

      # Not all with a nine, where there are others.
      def self.of_facts(aim, random)
        nines, others = telling(aim).shuffle(random: random).partition { |fact| fact.include?(9) }
        facts = (others.first(self::FACTS - 1) + nines + others.drop(self::FACTS - 1)).first(self::FACTS)
        facts |= like(aim).first(self::FACTS - facts.size)
        facts.map(&:sort).map { |smaller, larger| Problem::Pool.bare(aim.operation, larger, smaller) }
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

      def self.telling(aim) = aim.facts.select { |fact| aim.band.tells?(fact) }

      # Others of the range, those with the least second number first.
      def self.like(aim)
        all = aim.band.pairs.map(&:sort).uniq - aim.facts
        all.select { |fact| fact.min.positive? }.sort
      end
      private_class_method :like, :telling, :of_facts, :of_ten

      # Whether the aim counts as reached.
      # @param latest [Array<Progress::Record>] the latest answer of each child who was heard on it
      def reached?(latest, aim)
        heard = latest.size
        return false if heard < present * self.class::SHARE || heard.zero?

        latest.count { |record| there?(record, aim) } >= heard * self.class::SHARE
      end

      # Who goes on with it in a group of their own, where it is reached.
      # @param latest [Hash{Object => Progress::Record}] by child
      # @return [Array]
      def not_there(latest, aim) = latest.reject { |_, record| there?(record, aim) }.keys

      # Right and alone on the aim's rung or above, or on one that serves for it.
      def there?(record, aim)
        least = aim.band.serves.fetch(aim.rung, aim.rung)
        record.right && record.alone? && record.on_ladder? && record.rung >= least
      end

      def to_h = { facts: facts.map(&:to_s), days: days.map(&:iso8601), needed: needed, present: present }
    end
    Check::FACTS = 4
    Check::SHARE = Rational(2, 3)
  end
end
