# frozen_string_literal: true

module Rungs
  module Progress
    # Where one child works now, in one operation and band, and how sure that is (guide 10). What is said of it on a
    # screen is in Words.
    class Estimate
      Rungs.shelve self

      # How many of the last records a reason is told from, and how many of the last show how steady it is.
      LAST = 12
      STEADY = 10

      attr_reader :records, :on, :filter, :rule

      # @param records [Array<Record>] in the order they happened
      # @param on [Date] the day it is asked for; later records are left out
      def self.of(records, on:, rule: Rule::DEFAULT)
        happened = records.select { |record| record.day <= on }
        new(happened, on: on, filter: Filter.through(happened, rule))
      end

      # @param records [Array<Record>] at least those of the last weeks that the rule looks back on, and the last LAST
      # @param filter [Filter] already carried through all records
      def initialize(records, on:, filter:)
        @records = records
        @on = on
        @filter = filter
        @rule = filter.rule
      end

      # @return [Integer, nil] the working rung, 1..5; nil where not enough was heard
      def working
        return @working if defined?(@working)

        @working = enough? ? filter.likeliest : nil
      end

      # @return [Float] 0..1; silence makes it less, and never moves the rung
      def confidence
        @confidence ||= filter.day ? filter.probabilities.max * (0.5**((on - filter.day).to_i / rule.half_life)) : 0.0
      end

      def enough? = filter.heard >= rule.least_records && confidence >= rule.least_confidence

      # Whether it may be said that the child mostly works on the working rung: at least half of the last answers, or
      # two more than any other.
      def mostly?
        return false unless working

        times = recent.fetch(working, 0)
        times * 2 >= recent.values.sum || times - recent.except(working).values.max >= rule.lead
      end

      # @return [Hash{Integer => Integer}] how often each rung was heard among the last answers that "mostly" is said
      #   from
      def recent = @recent ||= weighed.last(rule.recent_answers).map(&:rung).tally

      # @return [Boolean] secure there, by the rule
      def secure?
        @secure.nil? ? @secure = !working.nil? && confidence >= rule.secure_confidence && lacking.empty? : @secure
      end

      # What is still wanting to be secure. records, facts, days: how many more. right: whether more must be right.
      # @return [Hash{Symbol => Integer}] only what is wanting
      def lacking
        @lacking ||= {
          records: rule.secure_records - alone_there.size, facts: rule.secure_facts - alone_there.map(&:fact).uniq.size,
          days: rule.secure_on_days - alone_there.map(&:day).uniq.size,
          right: (rule.secure_right * alone_there.size).ceil - alone_there.count(&:right)
        }.select { |_, more| more.positive? }
      end

      # @return [Array<Record>] alone, of late, on the working rung or above
      def alone_there
        @alone_there ||= within(rule.secure_days).select { |record| record.alone? && record.rung >= working }
      end

      # @return [Integer, nil] the highest rung above the working one that was shown alone and right of late
      def emerging
        return @emerging if defined?(@emerging)

        @emerging = working && higher_shown.map(&:rung).max
      end

      # @return [Array<Integer>] how often each rung, 1 to 5, was heard in the last four weeks
      def repertoire
        times = within(rule.recent_days).map(&:rung).tally
        Filter::LEVELS.map { |level| times.fetch(level, 0) }
      end

      # @return [Float, nil] the share of the commonest rung in the last ten
      def steadiness = commonest && commonest[1].fdiv([weighed.size, STEADY].min)

      # @return [Array(Integer, Integer), nil] the commonest rung of the last ten, and how often; of equals the
      #   working rung, else the lower
      def commonest
        times = weighed.last(STEADY).map(&:rung).tally
        @commonest ||= times.max_by { |rung, often| [often, rung == working ? 1 : 0, -rung] }
      end

      # @return [Array<Integer>] the rungs that a sentence may name, lowest first: the one mostly worked on; else the
      #   two heard most of the last answers, of equals the one heard last
      def told
        return [] unless working
        return [working] if mostly?

        order = weighed.map(&:rung)
        recent.max_by(2) { |rung, times| [times, order.rindex(rung)] }.map(&:first).sort
      end

      # Whether several ways are used well, where none is used mostly: enough answers, most of them right, on two rungs
      # or more.
      def several?
        late = weighed.last(rule.several)
        !working.nil? && !mostly? && late.size == rule.several && late.map(&:rung).uniq.size > 1 &&
          late.count(&:right) >= rule.secure_right * rule.several
      end

      # @return [Integer, nil] the rung that an aim starts from; nil where it is not clear yet
      def aim_from = mostly? ? working : (told.min if several?)

      def weighed = @weighed ||= records.select(&:weighed?)

      # @return [Integer, nil] days since the last weighed record
      def silent_days = filter.day && (on - filter.day).to_i

      def words = @words ||= Words.new(self)
      def title = words.title
      def reason(...) = words.reason(...)

      private

      def higher_shown
        within(rule.recent_days).select { |record| record.alone? && record.right && record.rung > working }
      end

      def within(days)
        from = on - days
        weighed.select { |record| record.day >= from }
      end
    end
  end
end
