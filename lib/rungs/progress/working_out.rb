# frozen_string_literal: true

module Rungs
  module Progress
    # How a child works out what it does not know: a hidden Markov filter over the rungs 1 to a scope's top (guide 10).
    # Known facts are not weighed in it, nor what is off the ladder. Immutable: each record heard gives a new one, so
    # that a class's can be kept and carried on record by record.
    class WorkingOut
      attr_reader :probabilities, :day, :shown, :scope, :rule

      def self.start(scope, rule = Rule::DEFAULT)
        size = scope.levels.size
        new(probabilities: Array.new(size, 1.0 / size), day: nil, shown: Array.new(size, 0), scope: scope, rule: rule)
      end

      # @param records [Array<Record>] in the order they happened
      def self.through(records, scope, rule = Rule::DEFAULT)
        records.reduce(start(scope, rule)) { |filter, record| filter.hear(record) }
      end

      # @param probabilities [Array<Float>] of the rungs from 1 up, after the last record weighed
      # @param day [Date, nil] of that record
      # @param shown [Array<Integer>] by rung from 1 up, how many records showed it by themselves
      def initialize(probabilities:, day:, shown:, scope:, rule: Rule::DEFAULT)
        @probabilities = probabilities.freeze
        @day = day
        @shown = shown.freeze
        @scope = scope
        @rule = rule
        freeze
      end

      # @param record [Record]
      # @return [WorkingOut]
      def hear(record)
        return self unless record.worked_out?

        drifted = on(record.day)
        likely = scope.levels.map { |from| drifted[from - 1] * likelihood(record, from) }
        total = likely.sum
        WorkingOut.new(probabilities: likely.map { |each| each / total }, day: record.day,
                       shown: counted(record), scope: scope, rule: rule)
      end

      # @param another [Date] not before the last record
      # @return [Array<Float>] the chance of each rung on that day
      def on(another) = day ? drift([(another - day).to_i, rule.longest_gap].min) : probabilities

      # How many records showed by themselves how the child works.
      def heard = shown.sum

      # @return [Integer, nil] of the rungs that were shown the likeliest, of equals the lower
      def likeliest
        scope.levels.select { |level| shown[level - 1].positive? }
             .max_by { |level| [probabilities[level - 1], -level] }
      end

      # @param on [Date] not before the last record
      # @return [Float] of the likeliest rung: silence makes it less; 0 where none was shown
      def confidence(on)
        likeliest ? probabilities[likeliest - 1] * (0.5**((on - day).to_i / rule.half_life)) : 0.0
      end

      private

      # How the rungs may have moved in so many days: one gap is one step, mostly up.
      def drift(days)
        up = 1 - Math.exp(-days / rule.days_up)
        down = 1 - Math.exp(-days / rule.days_down)
        top = probabilities.size
        scope.levels.each_with_object(Array.new(top, 0.0)) do |level, moved|
          fall = level == 1 ? 0 : down
          rise = level == top ? 0 : up * (1 - fall)
          chance = probabilities[level - 1]
          moved[level - 2] += chance * fall if fall.positive?
          moved[level] += chance * rise if rise.positive?
          moved[level - 1] += chance * (1 - fall - rise)
        end
      end

      def likelihood(record, from)
        rung = scope.level(record.rung)
        among = record.affords.filter_map { |each| scope.level(each) if each < 5 } | [rung]
        ear = record.ear&.among(scope.levels)
        rule.share(rung, from: from, among: among, ear: ear)**weight(record)
      end

      # What a record counts for: less with help, and less where the problem tells nearly nothing.
      def weight(record)
        rule.help.fetch(record.help) * (record.tells || record.rung == 1 ? 1 : rule.easy)
      end

      def counted(record)
        return shown unless record.shows?

        shown.each_with_index.map { |times, index| index + 1 == scope.level(record.rung) ? times + 1 : times }
      end
    end
  end
end
