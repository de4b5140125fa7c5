# frozen_string_literal: true

module Rungs
  module Progress
    # Where one child mostly works now, in one operation and band, with how sure that is and why (field guide 10).
    class Estimate
      # How many of the last records a reason is told from.
      LAST = 12

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

      def secure? = @secure.nil? ? @secure = secure_there? : @secure

      # @return [Integer, nil] the highest rung above the working one that was shown alone and right of late
      def emerging
        return @emerging if defined?(@emerging)

        @emerging = working && higher_shown.map(&:rung).max
      end

      # @return [Array<Float>] the share of each rung in the last four weeks; all 0 where none was heard
      def repertoire
        recent = within(rule.recent_days).map(&:rung)
        Filter::LEVELS.map { |level| recent.empty? ? 0.0 : recent.count(level).fdiv(recent.size) }
      end

      # @return [Float, nil] the share of the commonest rung in the last ten
      def steadiness = alike[1].zero? ? nil : alike[0].fdiv(alike[1])

      # @return [Array(Integer, Integer)] how often the commonest rung of the last ten was heard, of how many there are
      def alike
        last = weighed.last(10).map(&:rung)
        [last.tally.values.max.to_i, last.size]
      end

      # The likeliest rung may be one that was not heard of late: part–whole and known facts on numbers to 5, where nothing goes
      # through ten, make the one between them likeliest. Words then name what was heard.
      # @return [Array<Integer>, nil] the nearest rungs heard below and above, one or both; nil where the working rung was heard
      def between
        return @between if defined?(@between)

        heard = weighed.last(LAST).map(&:rung).uniq
        lower, higher = heard.partition { |rung| rung < working.to_i }
        @between = working.nil? || heard.empty? || heard.include?(working) ? nil : [lower.max, higher.min].compact
      end

      # @return [Integer, nil] the rung that a sentence may say the child works on
      def told = between ? between.first : working

      # @return [String] the working rung in words: "make ten", "between part–whole and known fact"
      def title = told && (between&.at(1) ? "between #{between.map { |rung| name(rung) }.join(' and ')}" : name(told))

      def weighed = @weighed ||= records.select(&:weighed?)

      # @return [Integer, nil] days since the last weighed record
      def silent_days = filter.day && (on - filter.day).to_i

      # @return [String] why we think so, in a sentence or two a teacher can check
      def reason
        return "No rung heard here yet." if weighed.empty?
        return "Not enough heard: #{count(filter.heard)}, the last #{ago}." unless working

        "#{sureness} (#{format('%.2f', confidence)}): #{recently}, the last #{ago}.#{security}"
      end

      private

      def secure_there?
        return false unless working && confidence >= rule.secure_confidence

        there = alone_there
        there.size >= rule.secure_records && there.map(&:fact).uniq.size >= rule.secure_facts &&
          there.map(&:day).uniq.size >= rule.secure_on_days && there.count(&:right) >= rule.secure_right * there.size
      end

      def higher_shown = within(rule.recent_days).select { |record| record.alone? && record.right && record.rung > working }

      def within(days)
        from = on - days
        weighed.select { |record| record.day >= from }
      end

      def alone_there = @alone_there ||= within(rule.secure_days).select { |record| record.alone? && record.rung >= working }

      def recently
        last = weighed.last(LAST)
        inviting = last.count { |record| record.affords.include?(working) }
        heard = (between || [working]).map { |rung| "#{name(rung)} in #{last.count { |record| record.rung == rung }}" }
        "#{heard.join(' and ')} of the last #{last.size} answers since #{last.first.day.strftime('%-d %B')}" \
          "#{" (#{inviting.zero? ? 'none' : inviting} of these problems invite #{between ? name(working) : 'it'})" if inviting < last.size}"
      end

      def name(rung) = Strategy::Rung.at(rung).title.downcase

      def security
        return " Secure: #{alone_there.size} alone in the last six weeks, #{alone_there.count(&:right)} of them right." if secure?
        return "" if confidence < rule.secure_confidence

        " Not yet secure: #{lacking}."
      end

      def lacking
        there = alone_there
        records, facts, days = rule.secure_records - there.size, rule.secure_facts - there.map(&:fact).uniq.size, rule.secure_on_days - there.map(&:day).uniq.size
        needs = []
        needs << "#{records} more alone" if records.positive?
        needs << "#{facts} more #{facts == 1 ? 'fact' : 'facts'}" if facts.positive?
        needs << "another day" if days.positive?
        needs << "more of them right" if needs.empty?
        needs.join(", ")
      end

      def sureness
        return "Sure" if confidence >= 0.9
        return "Fairly sure" if confidence >= 0.7

        "Not very sure"
      end

      def ago = { 0 => "today", 1 => "yesterday" }.fetch(silent_days) { "#{silent_days} days ago" }
      def count(number) = number == 1 ? "1 answer" : "#{number} answers"
    end
  end
end
