# frozen_string_literal: true

module Rungs
  module Progress
    class Estimate
      # What is said on a screen of where a child is: how it works out what it does not know, then what it knows; counts
      # and plain words, never a chance (guide 10).
      class Words
        Rungs.shelve self
        include Why

        # @param estimate [Estimate]
        def initialize(estimate)
          @estimate = estimate
        end

        # @return [String, nil] "count on"; "count on / part–whole" where it is not mostly one; nil where not enough was
        #   heard
        def title
          return rung(KNOWN).title.downcase if knows?
          return unless works_out

          named.size == 1 ? way(named.first).title.downcase : named.map { |level| way(level).short }.join(" / ")
        end

        # @return [String, nil] "3 of 7 known"; nil where no fact was heard
        def known = ("#{knowing.known} of #{knowing.heard} known" if knowing.heard.positive?)

        # @return [String] "known 4, count on 1", where facts are only counted
        def counted
          times = heard.map(&:rung).tally.sort_by { |level, often| [-often, level] }
          times.map { |level, often| "#{rung(level).short} #{often}" }.join(", ")
        end

        # @return [String, nil] "1 answer: count on", where that is all there is
        def so_far = ("1 answer: #{rung(heard.last.rung).title.downcase}" if heard.size == 1)

        # @return [String] "clear", "fairly clear", "one more answer helps"; "several ways" or "not clear yet" where no
        #   rung is worked on mostly
        def sureness
          return "several ways" if !knows? && @estimate.several?
          return "not clear yet" unless knows? || @estimate.mostly?
          return "clear" if @estimate.confidence >= rule.secure_confidence

          @estimate.confidence >= rule.fairly ? "fairly clear" : "one more answer helps"
        end

        # What is done there, after a name: "works out mostly by counting on; knows 3 of 7 facts heard".
        # @param written [Proc] how a day is written: Date → String
        # @return [String, nil] nil where nothing may be said
        def works(written = WRITTEN)
          return unless @estimate.enough?
          return heard_so_far(written) if @estimate.faint?

          [(works_out_by if works_out && !knows?), knows].compact.join("; ")
        end

        WRITTEN = ->(day) { day.strftime("%-d %B") }
        # How often something was heard.
        TIMES = { 1 => "once", 2 => "twice" }.freeze

        # @param written [Proc] how a day is written: Date → String
        # @return [String] why we think so, in a sentence or two a teacher can check
        def reason(written = WRITTEN)
          return "No rung heard here yet." if heard.empty?
          return "#{so_far}, #{ago}; one more and a rung stands here." if so_far
          return "#{Rungs.capital(faintly(written))}." if @estimate.faint?
          return "Not enough heard: #{count(heard.size)}, the last #{ago}.#{sentence(knows)}" unless @estimate.enough?

          [how(written), sentence(knows), security].join
        end

        # @return [Array<String>] "count on 3 of 7", the rungs heard in the last four weeks, highest first
        def repertoire
          times = @estimate.repertoire
          KNOWN.downto(1).filter_map do |level|
            "#{rung(level).short} #{times[level - 1]}" if times[level - 1].positive?
          end
        end

        # All that was heard, where no more may be said: "was heard twice, the last on 26 October: counting on".
        def heard_so_far(written = WRITTEN) = "was #{faintly(written)}"

        # @return [String, nil] "knows 3 of 7 facts heard", "knows the facts to 10 (9 of 11 heard)"
        def knows
          return if knowing.heard.zero?
          return "knows #{facts} (#{knowing.known} of #{knowing.heard} heard)" if knows?
          return if knowing.known.zero?

          "knows #{knowing.known} of #{knowing.heard} facts heard"
        end

        # @return [String] "the facts to 10"
        def facts
          title = @estimate.scope.title
          title.match?(/\A(to|through|with) /) ? "the facts #{title}" : "the facts of #{title}"
        end

        private

        def works_out = @estimate.works_out
        def named = @estimate.named
        def knowing = @estimate.knowing
        def knows? = @estimate.knows?
        def heard = @estimate.heard
        def rule = @estimate.rule
        def rung(level) = Strategy::Rung.at(level)
        def last = @estimate.worked_out.last(rule.recent_answers)

        # A level by the rung that was heard there most: above the top each keeps its name.
        def way(level)
          there = @estimate.worked_out.filter_map do |record|
            record.rung if @estimate.scope.level(record.rung) == level
          end
          rung(there.tally.max_by { |each, times| [times, -each] }&.first || level)
        end

        def works_out_by
          names = named.map { |level| way(level).doing }
          return "works out mostly by #{names.first}" if @estimate.mostly?
          return "works out by #{names.first}" if names.size == 1

          "works out now by #{names.join(', now by ')}"
        end

        def sentence(text) = text ? " #{Rungs.capital(text)}." : ""
        def ago = { 0 => "today", 1 => "yesterday" }.fetch(@estimate.silent_days) { |days| "#{days} days ago" }
        def count(number) = number == 1 ? "1 answer" : "#{number} answers"
      end
    end
  end
end
