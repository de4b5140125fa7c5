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
        facts = aim.facts.sample(self::FACTS, random: random)
        facts |= like(aim).first(self::FACTS - facts.size)
        problems = facts.map(&:sort).map { |smaller, larger| Problem::Pool.bare(aim.operation, larger, smaller) }
        new(facts: problems, days: days.last(Shape::CHECKED), needed: (present * self::SHARE).ceil, present: present)
      end

      # Others of the range, those with the least second number first.
      def self.like(aim)
        all = aim.band.pairs.map(&:sort).uniq - aim.facts
        all.select { |fact| fact.min.positive? }.sort
      end
      private_class_method :like

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
