# frozen_string_literal: true

module Rungs
  module Progress
    class Estimate
      # What is said on a screen of where a child is: how it works out what it does not know, then what it knows; counts
      # and plain words, never a chance (guide 10).
      class Words
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

        # All that was heard, where that is too little or too old to say more.
        def faintly(written)
          times = TIMES.fetch(heard.size) { "#{heard.size} times" }
          rungs = heard.map(&:rung).tally.sort_by { |level, often| [-often, level] }
          doing = rungs.map { |level, often| rungs.size == 1 ? rung(level).doing : "#{rung(level).doing} #{often}" }
          "heard #{times}, the last on #{written.call(heard.last.day)}: #{doing.join(', ')}#{helped}"
        end

        def helped
          with_help = heard.count { |record| !record.alone? }
          return "" if with_help.zero?

          with_help == heard.size ? ", with help" : ", #{with_help} with help"
        end

        def how(written)
          return "#{Rungs.capital(sureness)}." if knows?

          @estimate.mostly? ? clear(written) : unclear
        end

        def clear(written)
          opening = "#{Rungs.capital(sureness)}."
          return opening if last.empty?

          times = @estimate.recent.fetch(works_out, 0)
          "#{opening} #{way(works_out).title} in #{times} of the last #{last.size} worked out since " \
            "#{written.call(last.first.day)}, the last #{ago}#{could_show}."
        end

        def unclear
          in_order = @estimate.recent.sort_by { |level, often| [-often, level] }
          times = in_order.map { |level, often| "#{way(level).short} #{often}" }
          opening = @estimate.several? ? "Uses several ways, which is healthy" : "Not clear yet"
          "#{opening}: #{times.join(', ')} of the last #{last.size} worked out, the last #{ago}#{could_show}."
        end

        # Where the problems did not all let the rung show.
        def could_show
          able = last.count { |record| record.affords.include?(works_out) }
          return "" if able == last.size

          return "; #{able.zero? ? 'none' : able} of these could show it" if @estimate.mostly?

          "; #{way(works_out).title.downcase} could show in #{able.zero? ? 'none' : "only #{able}"} of these"
        end

        def security
          alone = @estimate.alone_there
          if @estimate.secure?
            return " Secure: #{count(alone.size)} without help in the last six weeks, #{alone.count(&:right)} of " \
                   "them right."
          end

          known_well = @estimate.confidence >= rule.secure_confidence && (knows? || @estimate.mostly?)
          known_well ? " To be secure: #{wanting.join(', ')}." : ""
        end

        def wanting
          more = @estimate.lacking
          other = more[:facts] == 1 ? "one on another fact" : "#{NumberWords.say(more[:facts] || 0)} on other facts"
          [(if more[:records]
              "#{NumberWords.say(more[:records])} more #{more[:records] == 1 ? 'answer' : 'answers'} without help"
            end),
           (other if more[:facts]), ("one on another day" if more[:days]), ("more of them right" if more[:right]),
           ("one without a nine" if more[:other])].compact
        end

        def sentence(text) = text ? " #{Rungs.capital(text)}." : ""
        def ago = { 0 => "today", 1 => "yesterday" }.fetch(@estimate.silent_days) { |days| "#{days} days ago" }
        def count(number) = number == 1 ? "1 answer" : "#{number} answers"
      end
    end
  end
end
