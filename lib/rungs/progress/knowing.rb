# frozen_string_literal: true

module Rungs
  module Progress
    # What a child knows in a scope, fact by fact: how many of the facts that tell were heard, and how many of these are
    # known (guide 10). Immutable, and carried on record by record, beside the standing of each fact.
    #
    # heard, known: Integer. pivots: how many of the known have the parts that the scope asks for. day: Date of the last
    # fact heard, or nil.
    Knowing = Struct.new(:heard, :known, :pivots, :day, :scope, keyword_init: true) do
      def self.start(scope) = new(heard: 0, known: 0, pivots: 0, day: nil, scope: scope).freeze

      # Whether a fact stands as known after an answer alone.
      # @param before [Boolean, nil] whether it did before; nil where it was not heard
      # @param record [Record] of whom about_fact? is true
      def self.after(before, record)
        return false if !record.right || record.rung <= 2

        record.rung == 5 || before == true
      end

      # @param before [Boolean, nil] how the record's fact stood before it
      # @return [Knowing]
      def hear(record, before)
        return self unless record.about_fact? && record.tells

        more = (Knowing.after(before, record) ? 1 : 0) - (before ? 1 : 0)
        pivot = record.fact == scope.among ? more : 0
        Knowing.new(heard: heard + (before.nil? ? 1 : 0), known: known + more, pivots: pivots + pivot, day: record.day,
                    scope: scope).freeze
      end

      # @return [Rational] of the facts heard, the share that is known
      def share = heard.zero? ? Rational(0) : Rational(known, heard)

      # Whether so many are known that the range is.
      def range?(rule = Rule::DEFAULT)
        !scope.facts.nil? && heard >= scope.facts && share >= rule.known_share && (scope.among.nil? || pivots.positive?)
      end

      # @param on [Date]
      # @return [Float] how sure it is that the range is known; silence makes it less
      def confidence(on, rule = Rule::DEFAULT)
        day ? ((1 + share.to_f) / 2) * (0.5**((on - day).to_i / rule.half_life)) : 0.0
      end
    end
  end
end
