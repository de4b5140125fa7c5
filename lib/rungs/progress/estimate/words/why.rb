# frozen_string_literal: true

module Rungs
  module Progress
    class Estimate
      class Words
        # Why we think so: what was heard last, and what is wanting to be secure.
        module Why
          private

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
        end
      end
    end
  end
end
