# frozen_string_literal: true

module Rungs
  module Planning
    # Why each part of a week stands there: a fact with its count or its names, never a sentence for any week (guide
    # 11).
    class Reasons
      # @param standing [Standing]
      # @param aim [Aim]
      # @param memory [Memory]
      def initialize(standing, aim, memory)
        @standing = standing
        @aim = aim
        @memory = memory
      end

      # "11 of 20 count on here; 9 + 4 lets make ten show."
      def focus(problems)
        facts = @aim.facts
        shown = problems.find { |problem| facts.include?(problem.parts.sort) }
        lets = "; #{shown.expression} lets #{Strategy::Rung.at(@aim.rung).title.downcase} show" if shown
        Rungs.capital("#{heard_here}#{lets}.")
      end

      # "18 of 22 are ready for these numbers."
      def warm_up(range, items)
        many = there(range)
        return "#{items} to begin with: nobody of #{@standing.size} has been heard enough yet." if edges.empty?

        "#{many} of #{@standing.size} #{many == 1 ? 'is' : 'are'} ready for these numbers."
      end

      # "Told once before; easier numbers for Dalia and Freya."
      def story(times, sets)
        told = { 0 => "For the first time", 1 => "Told once before" }.fetch(times, "Told #{times} times before")
        others = sets.reject { |set| set.level == "middle" || set.names.empty? }
        own = others.map { |set| "#{set.level} numbers for #{list(set.names)}" }
        "#{[told, *own, ("one set for all #{@standing.size}" if own.empty?)].compact.join('; ')}."
      end

      # "Done last on 3 March: now with 6 other sums."
      def again(kind, day, items)
        due = @memory.due(kind, day)
        return "New on #{due.since.strftime('%-d %B')}: it comes back, with #{items} others." if due

        last = @memory.last(["activity", kind.id])
        return "“#{kind.title}” of today again, with #{items} others." if last == day
        return "#{items} to begin with; it was never done here." unless last

        "Done last on #{last.strftime('%-d %B')}: #{items} with other numbers."
      end

      # "15 of 22 are wanted, on 9 + 4, 8 + 5, 9 + 6 and 8 + 3."
      def check(check)
        "#{check.needed} of #{check.present} are wanted, on #{list(check.facts.map(&:expression))}."
      end

      # "Start counted: Ada, Ben and Cai, twice each."
      def slip(slip)
        "#{Rungs.capital(Slip.title_in(slip.id, @aim.operation))}: #{list(slip.names)}, twice or more each."
      end

      # "11 of 20 work mostly by counting on here: which ways came this week?"
      def look_back = "#{Rungs.capital(heard_here)}: which ways came this week?"

      private

      def edges = @standing.edges

      def there(range) = edges.values.count { |edge| !Ranges.beyond?(range, edge) }

      def heard_here
        rung, many = @standing.working_in(@aim.range).max_by { |level, times| [times, -level] }
        return "nobody of #{@standing.size} has been heard enough with these numbers yet" unless rung

        "#{many} of #{@standing.size} #{many == 1 ? 'works' : 'work'} mostly by #{Strategy::Rung.at(rung).doing} here"
      end

      def list(all)
        names = all.map { |each| each.respond_to?(:name) ? each.name : each }
        names.size < 2 ? names.join : "#{names[0..-2].join(', ')} and #{names.last}"
      end
    end
  end
end
