# frozen_string_literal: true

module Rungs
  module Progress
    class Estimate
      # What is said on a screen of where a child works: counts and plain words, never a chance (guide 10).
      class Words
        # @param estimate [Estimate]
        def initialize(estimate)
          @estimate = estimate
        end

        # @return [String, nil] "count on"; "part–whole / known" where it is not mostly one; nil where not enough was
        #   heard
        def title
          return unless working

          told.size == 1 ? rung(told.first).title.downcase : told.map { |level| rung(level).short }.join(" / ")
        end

        # @return [String, nil] "1 answer: count on", where that is all there is
        def so_far
          "1 answer: #{rung(weighed.last.rung).title.downcase}" if @estimate.filter.heard == 1 && weighed.any?
        end

        # @return [String] "clear", "fairly clear", "one more answer helps"; "several ways" or "not clear yet" where no
        #   rung is worked on mostly
        def sureness
          return "several ways" if @estimate.several?
          return "not clear yet" unless @estimate.mostly?
          return "clear" if @estimate.confidence >= rule.secure_confidence

          @estimate.confidence >= rule.fairly ? "fairly clear" : "one more answer helps"
        end

        # What is done there, after a name: "works mostly by counting on".
        # @return [String, nil]
        def works
          return unless working

          names = told.map { |level| rung(level).doing }
          return "works mostly by #{names.first}" if @estimate.mostly?

          names.size == 1 ? "works by #{names.first}" : "works now by #{names.join(', now by ')}"
        end

        WRITTEN = ->(day) { day.strftime("%-d %B") }

        # @param written [Proc] how a day is written: Date → String
        # @return [String] why we think so, in a sentence or two a teacher can check
        def reason(written = WRITTEN)
          return "No rung heard here yet." if weighed.empty?
          return "#{so_far}, #{ago}; one more and a rung stands here." if so_far
          return "Not enough heard: #{count(@estimate.filter.heard)}, the last #{ago}." unless working

          @estimate.mostly? ? "#{clear(written)}#{security}" : unclear
        end

        # @return [Array<String>] "count on 3 of 7", the rungs heard in the last four weeks, highest first
        def repertoire
          times = @estimate.repertoire
          Filter::LEVELS.reverse_each.filter_map do |level|
            "#{rung(level).short} #{times[level - 1]}" if times[level - 1].positive?
          end
        end

        private

        def working = @estimate.working
        def told = @estimate.told
        def weighed = @estimate.weighed
        def rule = @estimate.rule
        def rung(level) = Strategy::Rung.at(level)
        def last = weighed.last(rule.recent_answers)

        def clear(written)
          times = last.count { |record| record.rung == working }
          "#{Rungs.capital(@estimate.words.sureness)}. #{rung(working).title} in #{times} of the last " \
            "#{count(last.size)} " \
            "since #{written.call(last.first.day)}, the last #{ago}#{could_show}."
        end

        def unclear
          in_order = @estimate.recent.sort_by { |level, often| [-often, level] }
          times = in_order.map { |level, often| "#{rung(level).short} #{often}" }
          opening = @estimate.several? ? "Uses several ways, which is healthy" : "Not clear yet"
          "#{opening}: #{times.join(', ')} of the last #{last.size}, the last #{ago}#{could_show}."
        end

        # Where the problems did not all let the working rung show.
        def could_show
          able = last.count { |record| record.affords.include?(working) }
          return "" if able == last.size

          return "; #{able.zero? ? 'none' : able} of these could show it" if @estimate.mostly?

          "; #{rung(working).title.downcase} could show in #{able.zero? ? 'none' : "only #{able}"} of these"
        end

        def security
          alone = @estimate.alone_there
          if @estimate.secure?
            return " Secure: #{count(alone.size)} without help in the last six weeks, #{alone.count(&:right)} of " \
                   "them right."
          end

          @estimate.confidence < rule.secure_confidence ? "" : " To be secure: #{wanting.join(', ')}."
        end

        def wanting
          more = @estimate.lacking
          other = more[:facts] == 1 ? "one on another fact" : "#{NumberWords.say(more[:facts] || 0)} on other facts"
          [(if more[:records]
              "#{NumberWords.say(more[:records])} more #{more[:records] == 1 ? 'answer' : 'answers'} without help"
            end),
           (other if more[:facts]), ("one on another day" if more[:days]), ("more of them right" if more[:right])]
            .compact
        end

        def ago = { 0 => "today", 1 => "yesterday" }.fetch(@estimate.silent_days) { |days| "#{days} days ago" }
        def count(number) = number == 1 ? "1 answer" : "#{number} answers"
      end
    end
  end
end
