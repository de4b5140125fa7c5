# frozen_string_literal: true

module Rungs
  module Progress
    # Where one child is, in one operation and scope, on a day: how it works out what it does not know, what it knows,
    # and how sure that is (guide 10). What is said of it on a screen is in Words.
    #
    #   Estimate.of(records, on: today, scope: Scope.of("add", "to10")).works_out  # => 1
    class Estimate
      Rungs.shelve self

      # The rung of whoever knows a range.
      KNOWN = 5

      attr_reader :records, :on, :filter, :knowing, :rule

      # @param records [Array<Record>] in the order they happened
      # @param on [Date] the day it is asked for; later records are left out
      # @param scope [Scope]
      def self.of(records, on:, scope:, rule: Rule::DEFAULT)
        happened = records.select { |record| record.day <= on }
        running = Running.through(happened, scope, rule)
        new(happened, on: on, filter: running.filter, knowing: running.knowing)
      end

      # @param records [Array<Record>] at least those that Running.recent keeps
      # @param filter [WorkingOut] already carried through all records
      # @param knowing [Knowing] likewise
      def initialize(records, on:, filter:, knowing:)
        @records = records
        @on = on
        @filter = filter
        @knowing = knowing
        @rule = filter.rule
      end

      def scope = filter.scope

      # @return [Integer, nil] the rung of the child there, 1..5: 5 where the range is known, else what is worked out
      #   by; nil where not enough was heard
      def working = knows? ? KNOWN : works_out

      # @return [Integer, nil] how the child works out what it does not know, 1 to the scope's top; nil where not enough
      #   was heard
      def works_out
        return @works_out if defined?(@works_out)

        enough = scope.top && filter.heard >= rule.least_records && filter.confidence(on) >= rule.least_confidence
        @works_out = enough ? filter.likeliest : nil
      end

      # Whether the child knows the range, and it was heard to of late.
      def knows? = knowing.range?(rule) && knowing.confidence(on, rule) >= rule.least_confidence

      # @return [Float] 0..1, of what working says; where it says nothing, of the likeliest rung that was shown
      def confidence = knows? ? knowing.confidence(on, rule) : filter.confidence(on)

      def enough? = !working.nil?

      # Whether it may be said that the child mostly works things out so: at least half of the last answers, or two more
      # than any other.
      def mostly?
        return false unless works_out

        times = recent.fetch(works_out, 0)
        times * 2 >= recent.values.sum || times - recent.except(works_out).values.max >= rule.lead
      end

      # @return [Hash{Integer => Integer}] how often each rung was heard among the last answers that "mostly" is said
      #   from; those above the top as the top
      def recent = @recent ||= tally(worked_out.last(rule.recent_answers))

      # @return [Array<Record>] those that were worked out on problems that tell
      def worked_out = @worked_out ||= records.select { |record| record.worked_out? && record.tells }

      # @return [Boolean] secure there, by the rule
      def secure?
        @secure.nil? ? @secure = enough? && confidence >= rule.secure_confidence && lacking.empty? : @secure
      end

      # What is still wanting to be secure. records, facts, days: how many more. right: whether more must be right.
      # other: whether making ten was shown with nines only.
      # @return [Hash{Symbol => Integer}] only what is wanting
      def lacking
        @lacking ||= {
          records: rule.secure_records - alone_there.size,
          facts: rule.secure_facts - alone_there.map { |record| record.exact || record.fact }.uniq.size,
          days: rule.secure_on_days - alone_there.map(&:day).uniq.size,
          right: (rule.secure_right * alone_there.size).ceil - alone_there.count(&:right),
          other: working == 4 && alone_there.all? { |record| record.fact.include?(9) } ? 1 : 0
        }.select { |_, more| more.positive? }
      end

      # @return [Array<Record>] alone, of late, on problems that tell, on the child's rung or above
      def alone_there
        @alone_there ||= within(rule.secure_days).select do |record|
          record.alone? && record.tells && (record.rung == KNOWN || scope.level(record.rung) >= working)
        end
      end

      # @return [Integer, nil] the highest rung above what is worked out by that was shown alone and right of late
      def emerging
        return @emerging if defined?(@emerging)

        @emerging = works_out && higher_shown.map(&:rung).max
      end

      # @return [Array<Integer>] how often each rung, 1 to 5, was heard in the last four weeks on problems that tell
      def repertoire
        times = within(rule.recent_days).select(&:tells).map(&:rung).tally
        (1..KNOWN).map { |level| times.fetch(level, 0) }
      end

      # @return [Array<Integer>] the rungs that a sentence may name, lowest first: the one mostly worked out by; else
      #   the two heard most of the last answers, of equals the one heard last
      def named
        return [] unless works_out
        return [works_out] if mostly?

        order = worked_out.map { |record| scope.level(record.rung) }
        recent.max_by(2) { |rung, times| [times, order.rindex(rung)] }.map(&:first).sort
      end

      # Whether several ways are used well, where none is used mostly: enough answers, most of them right, and two ways
      # beside counting all that are each a good part of them.
      def several?
        return false if works_out.nil? || mostly? || late.size < rule.several

        often = tally(late).select { |_, times| times >= rule.quarter * late.size }
        commonest.size == 2 && commonest.min > 1 && (commonest - often.keys).empty? &&
          late.count(&:right) >= rule.secure_right * late.size
      end

      # @return [Integer, nil] the rung that an aim starts from; nil where it is not clear yet
      def aim_from = mostly? ? works_out : (commonest.min if several?)

      # Whether all that was heard is so little, or so long ago, that no sentence says more than what it was.
      def faint? = heard.size < rule.least_told || heard.last.day < on - rule.recent_days

      # @return [Array<Record>] on the ladder
      def heard = @heard ||= records.select(&:on_ladder?)

      # @return [Integer, nil] days since the last answer on the ladder
      def silent_days = heard.any? ? (on - heard.last.day).to_i : nil

      def words = @words ||= Words.new(self)
      def title = words.title
      def reason(...) = words.reason(...)

      private

      def late = worked_out.last(rule.several)
      def tally(records) = records.map { |record| scope.level(record.rung) }.tally

      # The two commonest of the last answers.
      def commonest = @commonest ||= tally(late).max_by(2) { |rung, times| [times, -rung] }.map(&:first)

      def higher_shown
        within(rule.recent_days).select do |record|
          record.alone? && record.right && record.tells && record.worked_out? && scope.level(record.rung) > works_out
        end
      end

      def within(days)
        from = on - days
        heard.select { |record| record.day >= from }
      end
    end
  end
end
