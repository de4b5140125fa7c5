# frozen_string_literal: true

module Rungs
  module Planning
    # Why each part of a week stands there: a fact with its count or its names, never a sentence for any week (guide
    # 11).
    class Reasons
      # @param standing [Standing]
      # @param aim [Aim]
      # @param memory [Memory]
      # @param news [Boolean] whether the range is new to the class
      def initialize(standing, aim, memory, news: false)
        @standing = standing
        @aim = aim
        @memory = memory
        @news = news
      end

      # "11 of 20 count on here; 9 + 4 lets make ten show."
      def focus(problems)
        return news if @news

        shown = problems.find { |problem| @aim.fits?(problem.parts.sort) }
        lets = "; #{shown.expression} lets #{Strategy::Rung.at(@aim.rung).title.downcase} show" if shown
        Rungs.capital("#{heard_here}#{lets}.")
      end

      # "6 to begin with: 4 of 22 work by counting all to 5: Ada, Ben, Cai and Dov."
      def warm_up(range, items)
        title = Problem::Band::ALL.fetch(range).title
        rung, many = @standing.working_in(range).min
        return "#{items} to begin with, #{title}: #{unheard(range)}." if @standing.unheard? || rung.nil?

        who = @standing.on_rung(range, rung)
        named = ": #{list(who)}" if many <= NAMED
        "#{items} to begin with: #{many} of #{@standing.size} #{work(many)} by #{Strategy::Rung.at(rung).doing} " \
          "#{title}#{named}."
      end

      # "Told once before; easier numbers for Dalia and Freya."
      def story(times, sets)
        told = { 0 => "For the first time", 1 => "Told once before" }.fetch(times, "Told #{times} times before")
        others = sets.reject { |set| set.level == "middle" }
        own = others.map { |set| "#{set.level} numbers for #{list(set.names)}" }
        "#{[told, *own, ("one set for all #{@standing.size}" if own.empty?)].compact.join('; ')}."
      end

      def compared = "Stories that compare come next: all #{@standing.size} compare two towers first."

      # "Done last on 3 March: now with 6 other sums."
      # @param today [Boolean] whether it is the focus of that day too
      def again(kind, day, items, today:)
        return "#{items} more of today’s, on paper." if today

        due = @memory.due(kind, day)
        return "New on #{due.since.strftime('%-d %B')}: it comes back, with #{items} others." if due

        last = @memory.last(["activity", kind.id]) or return "Known already: #{items} of it."
        "Done last on #{last.strftime('%-d %B')}: #{items} with other numbers."
      end

      # "15 of 22 are wanted, on 9 + 4, 8 + 5, 9 + 6 and 8 + 3."
      def check(check)
        "Everybody once: #{check.needed} of #{check.present} are wanted, on #{list(check.facts.map do |each|
          said(each)
        end)}."
      end

      # "Start counted: Ada, Ben and Cai, twice each."
      def slip(slip)
        "#{Rungs.capital(Slip.title_in(slip.id, @aim.operation))}: #{list(slip.names)}, twice or more each."
      end

      # "11 of 20 work mostly by counting on here: which ways came this week?"
      def look_back = "#{Rungs.capital(heard_here)}: which ways came this week?"

      private

      # Of so many each has a name in a sentence.
      NAMED = 4
      private_constant :NAMED

      def said(problem) = problem.missing_part? ? problem.to_s : problem.expression
      def work(many) = many == 1 ? "works" : "work"

      def news
        met = @standing.how_many_met(@aim.range)
        "New numbers for this class: #{met.zero? ? 'nobody' : met} of #{@standing.size} #{met > 1 ? 'have' : 'has'} " \
          "answered twice in them."
      end

      # "9 of 22 were heard enough with them"
      def unheard(range)
        many = @standing.working_in(range).values.sum
        "#{many.zero? ? 'nobody' : many} of #{@standing.size} #{many < 2 ? 'was' : 'were'} heard enough with them"
      end

      def heard_here
        rung, many = @standing.working_in(@aim.range).max_by { |level, times| [times, -level] }
        return unheard(@aim.range) unless rung

        "#{many} of #{@standing.size} #{work(many)} mostly by #{Strategy::Rung.at(rung).doing} here"
      end

      def list(all)
        names = all.map { |each| each.respond_to?(:name) ? each.name : each }
        names.size < 2 ? names.join : "#{names[0..-2].join(', ')} and #{names.last}"
      end
    end
  end
end
