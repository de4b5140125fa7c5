# frozen_string_literal: true

module Rungs
  module Planning
    # A proposed week (guide 11): warm-ups that go back over what is known, one new thing a day, a story to pose and
    # listen to, something to practise; the last day looks back. No item of the last ten school days comes again; no day
    # is longer than there is time. The same class, days and seed give the same week.
    #
    #   Week.new(days: days, at_work: { band: "to10", operation: "add" }, seed: 3).days.first.parts.map(&:title)
    class Week
      # kind: an activity. role: its place in a day. options, seed, items: what its set is made of, and its data. fresh:
      # what of it is new to the class, as Novelty has things; nil where nothing is. why: a sentence.
      Part = Struct.new(:kind, :role, :minutes, :range, :options, :seed, :items, :fresh, :why, keyword_init: true) do
        def title = kind.title

        def to_h
          { activity: kind.id, title: title, role: role.to_s, minutes: minutes, options: options, seed: seed,
            count: items.size, new: !fresh.nil?, what: fresh&.first, why: why }
        end
      end

      # date: Date. parts: Array<Part>.
      Day = Struct.new(:date, :parts, keyword_init: true) do
        def minutes = parts.sum(&:minutes)
        def fresh = parts.find(&:fresh)
      end

      # What may take a place: an activity, with numbers and a situation for it, and why.
      Candidate = Struct.new(:kind, :at_work, :why, keyword_init: true) do
        # What it is called where it was exchanged and is not wanted again.
        def key = [kind.id, at_work[:situation]].compact.join(" ")

        # A part may be cut to three quarters of its usual time.
        def least = (kind.minutes * Rational(3, 4)).ceil
      end

      # What each range asks for, most first, as what a teacher wants to do.
      AIMS = {
        "to5" => %w[see parts put_together take_away equals doubles games],
        "to10" => %w[parts make_ten put_together take_away doubles equals games],
        "teens" => %w[tens put_together take_away equals games], "tens" => %w[tens equals games],
        "bridge" => %w[make_ten doubles put_together take_away equals games],
        "to20" => %w[tens make_ten equals take_away games], "to100" => %w[tens equals games]
      }.freeze
      # Days after which an item may come again, and how far a set is made smaller to have none that was there.
      AGAIN, LEAST, TRIES = 10, 2, 12
      # A warm-up is short.
      SHORT = 5
      FACTS = "Goes back over facts: which come by now?"
      # What a day has, as it stands; what matters most takes its time first. Some may bring something new.
      ORDINARY, LAST = %i[warm_up main story practice].freeze, %i[warm_up game compare facts].freeze
      FIRST, NEW = %i[main story game compare].freeze, %i[main story game].freeze

      # @param activity [Class]
      # @return [Symbol] the place in a day of what a teacher put there
      def self.role_of(activity)
        return :story if activity == Activity::POSED
        return :warm_up if activity.minutes <= SHORT

        { "games" => :game, "talk" => :compare }.fetch(activity.finds.first, :main)
      end

      # @param days [Array<Date>] school days, in order
      # @param at_work [Hash{Symbol => String}] band and operation
      # @param minutes [Integer] the time there is each day
      # @param met [Hash{Array(String, String) => Date}] by thing, as Novelty has them, the last day it was there
      # @param recent [Array<Array(String, Hash)>] activity and data of the items of the last school days
      # @param slips [Array<String>] ids of slips of late, commonest first
      # @param without [Array<String>] keys of candidates that are not wanted
      # @param has [Array<String>, nil] things on the class's shelf: what needs others comes last; nil where that is not
      #   known
      # @param settings [Hash] of the class, as activities take them
      def initialize(days:, at_work:, seed:, minutes: 25, met: {}, recent: [], slips: [], without: [], has: nil,
                     settings: {})
        @dates = days
        @at_work = at_work
        @seed = seed
        @minutes = minutes
        @met = met.dup
        @taken = recent.dup
        @slips = slips
        @without = without
        @has = has
        @settings = settings
        @used = Hash.new(0)
      end

      # @return [Array<Day>]
      def days = @days ||= @dates.each_with_index.map { |date, index| day(date, index) }

      # @return [String] the aim of the week: what most of it is about
      def i_can
        parts = days.flat_map(&:parts)
        (parts.find { |part| part.role == :main } || parts.first)&.kind&.i_can
      end

      # What may take the place of one part of the first day.
      # @param role [Symbol] of ORDINARY or LAST
      # @param beside [Array<Class>] activities that the day has already
      # @param fresh [Boolean] whether something else of that day is new
      # @return [Part, nil] within the minutes; nil where nothing else fits
      def next_best(role, beside: [], fresh: false)
        begin_day(@dates.first)
        @today, @fresh = beside.dup, fresh
        part(role, @minutes)&.tap { |part| lengthen([part], @minutes - part.minutes) }
      end

      private

      def begin_day(date)
        @date, @random = date, Random.new((@seed * 1009) + date.jd)
        @today, @fresh = [], nil
      end

      def day(date, index)
        begin_day(date)
        roles = index == @dates.size - 1 && @dates.size > 2 ? LAST : ORDINARY
        left = @minutes
        found = by_weight(roles).to_h do |role|
          [role, part(role, left)&.tap { |each| left -= each.minutes }]
        end
        lengthen(found.values.compact, left)
        @before = @fresh
        Day.new(date: date, parts: found.values_at(*roles).compact)
      end

      def by_weight(roles) = roles.sort_by { |role| FIRST.index(role) || FIRST.size }

      # The time that is left goes to what matters most, up to what it usually takes.
      def lengthen(parts, left)
        parts.each do |part|
          more = [part.kind.minutes - part.minutes, left].min
          part.minutes += more
          left -= more
        end
      end

      # The first that fits into the time, has items that were not there of late, and brings no second new thing.
      def part(role, left)
        candidates(role).each do |each|
          next if each.least > left || @today.include?(each.kind) || @without.include?(each.key)

          made = set(each, role) or next
          return place(each, role, made)
        end
        nil
      end

      def place(candidate, role, made)
        kind, things = candidate.kind, made.delete(:things)
        @taken.concat(made[:items].map { |data| [kind.id, data] })
        @today << kind
        @fresh ||= made[:fresh]
        things.each do |thing|
          @used[thing] += 1
          @met[thing] = @date
        end
        Part.new(kind: kind, role: role, minutes: candidate.least, why: why(candidate, made[:fresh]), **made)
      end

      def why(candidate, fresh)
        return candidate.why unless fresh
        return "New to this class: #{because(candidate.kind)}." if fresh.first == "activity"

        "New to this class: #{Novelty.title(*fresh)}."
      end

      # @return [Hash, nil] range, options, seed, items, and what is new; nil where all its items were there of late, or
      #   more of it is new than may be
      def set(candidate, role)
        kind, range = candidate.kind, candidate.at_work.fetch(:band)
        options = kind.fitted(candidate.at_work)
        made = (@made ||= {})[[kind.id, options]] ||= kind.with(options, @settings)
        TRIES.times do |try|
          seed = @random.rand(1..9999)
          items = items(made, kind, range, seed, try) or next
          things = Novelty.things(kind, options, situation: items.first[:situation], range: range)
          fresh = Novelty.new_of(things, @met)
          return nil if fresh.size > (NEW.include?(role) && !@fresh ? 1 : 0)

          return { range: range, options: options, seed: seed, items: items, things: things, fresh: fresh.first }
        end
        nil
      rescue Error
        nil
      end

      def items(made, kind, range, seed, try)
        most = [kind.usual, made.most].compact.min
        return unless most.positive?

        items = made.data(seed: seed, count: [most - (try / 3), LEAST].max.clamp(1, most))
        largest = Activity::Option.round(Problem::Band::ALL.fetch(range).largest)
        items unless items.any? { |data| @taken.include?([kind.id, data]) || made.beyond?(data, largest) }
      end

      # @return [Array<Candidate>] what may take a place, the best first
      def candidates(role)
        case role
        when :main then main
        when :story then stories
        when :facts then [candidate(Activity::WEEKLY, FACTS)]
        when :game then met(role) + found(%w[games]).reject { |kind| known?(kind) }.map { |kind| candidate(kind, nil) }
        else met(role)
        end
      end

      def candidate(kind, why, at_work = @at_work) = Candidate.new(kind: kind, why: why, at_work: at_work)

      # Of what is known, and why it stands there.
      def met(role)
        kinds, why, at_work = {
          warm_up: [warm_ups, "Goes back over what is known, #{numbers(below)}.", below],
          practice: [practised, "To practise what was met already."],
          game: [found(%w[games]), "The last day plays with the week’s numbers."],
          compare: [found(%w[talk]), "Looks back: what was the same, what was not?"]
        }.fetch(role)
        in_turn(kinds.select { |kind| known?(kind) }).map do |kind|
          candidate(kind, kind == Activity::PRACTISED ? FACTS : why, at_work || @at_work)
        end
      end

      # New ones first, the most asked for before others; then those that were done longest ago.
      def main
        new, met = suited.partition { |kind| !known?(kind) }
        (new + in_turn(met)).map { |kind| candidate(kind, last_done(["activity", kind.id])) }
      end

      # The story that was new the day before, once more; one that is new, where nothing else of the day is; then those
      # that were told longest ago.
      def stories
        new, met = Problem::Situation.taught(@at_work.fetch(:operation)).map(&:id).partition do |id|
          Novelty.new_of([["situation", id]], @met).any?
        end
        told = met.sort_by { |id| [@used[["situation", id]], @met[["situation", id]]&.jd || 0] }
        again = [@before&.first == "situation" ? @before.last : nil].compact
        [*again.map { |id| story(id, "The story of the day before once more, with other numbers.") },
         *(@fresh || again.any? ? [] : new.first(1)).map { |id| story(id, nil) },
         *(told - again).map { |id| story(id, "To pose and listen to: #{numbers(@at_work)}, where the class works.") }]
      end

      def story(situation, why) = candidate(Activity::POSED, why, { **@at_work, situation: situation })

      def last_done(thing) = "In turn#{": done last on #{@met[thing].strftime('%-d %B')}" if @met[thing]}."

      def because(kind)
        slip = (kind.slips & @slips).first
        return "it brings out a slip of late, #{slip.tr('_', ' ')}" if slip

        "#{Activity::FINDS.fetch((kind.finds & aims).first || kind.finds.first).downcase}, #{numbers(@at_work)}"
      end

      # By the slips it brings out, then by what the range asks for.
      def suited
        fitting = found(aims) - routine
        fitting.sort_by do |kind|
          [lacks?(kind) ? 1 : 0, @used[["activity", kind.id]], -(kind.slips & @slips).size,
           aims.index((kind.finds & aims).first), Activity::ALL.ids.index(kind.id)]
        end
      end

      def lacks?(kind) = !@has.nil? && (kind.materials.map(&:thing) - @has).any?

      def aims
        wanted = AIMS.fetch(@at_work.fetch(:band))
        @at_work[:operation] == "subtract" ? ["take_away", *wanted - ["take_away"]] : wanted
      end

      def found(finds) = Activity::ALL.select { |kind| kind.finds.intersect?(finds) }
      def warm_ups = (found(%w[see]) | [Activity::PRACTISED]).select { |kind| kind.minutes <= SHORT }
      def practised = Activity::ALL.select { |kind| kind.paper[:recording] } - [Activity::POSED]
      def routine = Activity::USUAL.map { |id| Activity::ALL.fetch(id) }

      # What the class has met, and the usual parts of a lesson: nothing of it is new.
      def known?(kind) = @met.key?(["activity", kind.id]) || routine.include?(kind)

      # None twice before the others that fit: least in this week, then longest ago, then by lot.
      def in_turn(kinds)
        lots = kinds.to_h { |kind| [kind.id, @random.rand] }
        kinds.sort_by { |kind| [@used[["activity", kind.id]], @met[["activity", kind.id]]&.jd || 0, lots[kind.id]] }
      end

      # One range back.
      def below
        order = Widening::ORDER
        { **@at_work, band: order[[order.index(@at_work.fetch(:band)) - 1, 0].max] }
      end

      def numbers(at_work) = Novelty.title("range", at_work.fetch(:band))
    end
  end
end
