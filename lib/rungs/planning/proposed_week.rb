# frozen_string_literal: true

module Rungs
  module Planning
    # A proposed week (guide 11): warm-ups that go back over what is known, one new thing a day, a story to pose and
    # listen to, something to practise; the last day looks back. No item of the last ten school days comes again; no day
    # is longer than there is time. The same class, days and seed give the same week.
    #
    #   ProposedWeek.new(days: days, at_work: { band: "to10", operation: "add" }, seed: 3).days.first.parts.map(&:title)
    class ProposedWeek
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

      # Days after which an item may come again, and how far a set is made smaller to have none that was there.
      AGAIN, LEAST, TRIES = 10, 2, 12
      # What a day has, as it stands; what matters most takes its time first. Some may bring something new.
      ORDINARY, LAST = %i[warm_up main story practice].freeze, %i[warm_up game compare facts].freeze
      FIRST, NEW = %i[main story game compare].freeze, %i[main story game].freeze

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
        @seed = seed
        @minutes = minutes
        @without = without
        @settings = settings
        @memory = Memory.new(met: met, recent: recent)
        @choice = Choice.new(at_work: at_work, memory: @memory, slips: slips, has: has)
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
        told = @before.last if @before&.first == "situation"
        @choice.for(role, random: @random, fresh: @fresh, told: told).each do |each|
          next if each.least > left || @today.include?(each.kind) || @without.include?(each.key)

          made = set(each, role) or next
          return place(each, role, made)
        end
        nil
      end

      def place(candidate, role, made)
        kind, things = candidate.kind, made.delete(:things)
        why = @choice.why(candidate, made[:fresh])
        @memory.keep(@date, kind, made[:items], things)
        @today << kind
        @fresh ||= made[:fresh]
        Part.new(kind: kind, role: role, minutes: candidate.least, why: why, **made)
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
          fresh = @memory.new_of(things)
          return nil if fresh.size > (NEW.include?(role) && !@fresh ? 1 : 0)

          return { range: range, options: options, seed: seed, items: items, things: things, fresh: fresh.first }
        end
        nil
      rescue Error::NotAProblem, Error::TooMany
        nil
      end

      def items(made, kind, range, seed, try)
        most = [kind.usual, made.most].compact.min
        return unless most.positive?

        items = made.data(seed: seed, count: [most - (try / 3), LEAST].max.clamp(1, most))
        largest = Activity::Option.round(Problem::Band::ALL.fetch(range).largest)
        items unless items.any? { |data| @memory.taken?(kind, data) || made.beyond?(data, largest) }
      end
    end
  end
end
