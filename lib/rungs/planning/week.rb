# frozen_string_literal: true

module Rungs
  module Planning
    # A proposed week (guide 11): warm-ups that go back over what is known, one new thing a day, a story to pose and
    # listen to, something to practise; the last day looks back. No item of the last ten school days comes again; no day
    # is longer than there is time. The same class, days and seed give the same week.
    #
    #   Week.new(days: days, at_work: { band: "to10", operation: "add" }, seed: 3).days.first.parts.map(&:title)
    class Week
      # kind: an activity. options, seed, items: what its set is made of, and its data. fresh: whether it is new to the
      # class. why: a sentence.
      Part = Struct.new(:kind, :minutes, :options, :seed, :items, :fresh, :why, keyword_init: true) do
        def title = kind.title

        def to_h
          { activity: kind.id, title: title, minutes: minutes, options: options, seed: seed, count: items.size,
            new: fresh, why: why }
        end
      end

      # date: Date. parts: Array<Part>.
      Day = Struct.new(:date, :parts, keyword_init: true) do
        def minutes = parts.sum(&:minutes)
        def fresh = parts.find(&:fresh)
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
      # What a day has, as it stands; what matters most takes its time first.
      ORDINARY, LAST = %i[warm_up main story practice].freeze, %i[warm_up game compare facts].freeze
      FIRST = %i[main story game compare].freeze

      # @param days [Array<Date>] school days, in order
      # @param at_work [Hash{Symbol => String}] band and operation
      # @param minutes [Integer] the time there is each day
      # @param met [Hash{String => Date}] by activity, the day it was last done
      # @param recent [Array<Array(String, Hash)>] activity and data of the items of the last school days
      # @param slips [Array<String>] ids of slips of late, commonest first
      # @param without [Hash{Date => Array<String>}] activities that were exchanged for the next best
      # @param has [Array<String>, nil] things on the class's shelf: what needs others comes last; nil where that is not
      #   known
      # @param settings [Hash] of the class, as activities take them
      def initialize(days:, at_work:, seed:, minutes: 25, met: {}, recent: [], slips: [], without: {}, has: nil,
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

      # @return [String] the aim of the week: of what is most of it about
      def i_can = (days.filter_map(&:fresh).first || days.flat_map(&:parts).first)&.kind&.i_can

      private

      def day(date, index)
        last = index == @dates.size - 1 && @dates.size > 2
        @date, @random = date, Random.new((@seed * 1009) + date.jd)
        left, @today = @minutes, []
        roles = last ? LAST : ORDINARY
        found = roles.sort_by { |role| FIRST.index(role) || FIRST.size }.to_h do |role|
          [role, part(role, left)&.tap { |each| left -= each.minutes }]
        end
        parts = found.values_at(*roles).compact
        parts.each { |each| @met[each.kind.id] = date }
        Day.new(date: date, parts: parts)
      end

      # The first that fits into the time and has items that were not there of late.
      def part(role, left)
        candidates(role).each do |kind, fresh, why|
          next if kind.minutes > left || @today.include?(kind) || @without.fetch(@date, []).include?(kind.id)

          made = set(kind, role) or next
          @used[kind.id] += 1
          @today << kind
          return Part.new(kind: kind, minutes: kind.minutes, fresh: fresh, why: why, **made)
        end
        nil
      end

      # @return [Hash, nil] options, seed and items; nil where all its items were there of late
      def set(kind, role)
        options = kind.fitted(role == :warm_up ? below : @at_work)
        made = (@made ||= {})[[kind.id, options]] ||= kind.with(options, @settings)
        TRIES.times do |try|
          seed = @random.rand(1..9999)
          most = [kind.usual, made.most].compact.min
          items = (made.data(seed: seed, count: [most - (try / 3), LEAST].max.clamp(1, most)) if most.positive?)
          next if items.nil? || items.any? { |data| @taken.include?([kind.id, data]) }

          @taken.concat(items.map { |data| [kind.id, data] })
          return { options: options, seed: seed, items: items }
        end
        nil
      rescue Error
        nil
      end

      # @return [Array<Array(Class, Boolean, String)>] what may take a place: the activity, whether it is new, and why
      def candidates(role)
        case role
        when :main then main
        when :story then [[Activity::POSED, false, "To pose and listen to: #{title(@at_work)}, where the class works."]]
        when :facts then [[Activity::WEEKLY, false, "Looks back: which facts come by now?"]]
        else met(role)
        end
      end

      # Of what is known, and why it stands there.
      def met(role)
        kinds, why = {
          warm_up: [warm_ups, "Goes back over what is known, #{title(below)}."],
          practice: [practised, "To practise what was met already."],
          game: [found(%w[games]), "The last day plays with the week’s numbers."],
          compare: [found(%w[talk]), "Looks back: what was the same, what was not?"]
        }.fetch(role)
        in_turn(kinds.select { |kind| known?(kind) }).map { |kind| [kind, false, why] }
      end

      # New ones first, the most asked for before others; then those that were done longest ago.
      def main
        new, met = suited.partition { |kind| !known?(kind) }
        new.map { |kind| [kind, true, "New to this class: #{because(kind)}."] } +
          in_turn(met).map { |kind| [kind, false, "In turn: done last on #{@met.fetch(kind.id).strftime('%-d %B')}."] }
      end

      def because(kind)
        slip = (kind.slips & @slips).first
        return "it brings out a slip of late, #{slip.tr('_', ' ')}" if slip

        "#{Activity::FINDS.fetch((kind.finds & aims).first || kind.finds.first).downcase}, #{title(@at_work)}"
      end

      # By the slips it brings out, then by what the range asks for.
      def suited
        fitting = found(aims) - routine
        fitting.sort_by do |kind|
          [lacks?(kind) ? 1 : 0, @used[kind.id], -(kind.slips & @slips).size, aims.index((kind.finds & aims).first),
           Activity::ALL.ids.index(kind.id)]
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
      def known?(kind) = @met.key?(kind.id) || routine.include?(kind)

      # None twice before the others that fit: least in this week, then longest ago, then by lot.
      def in_turn(kinds)
        lots = kinds.to_h { |kind| [kind.id, @random.rand] }
        kinds.sort_by { |kind| [@used[kind.id], @met[kind.id]&.jd || 0, lots[kind.id]] }
      end

      # One range back.
      def below
        order = Widening::ORDER
        { **@at_work, band: order[[order.index(@at_work.fetch(:band)) - 1, 0].max] }
      end

      def title(at_work) = "numbers #{Problem::Band::ALL.fetch(at_work.fetch(:band)).title}"
    end
  end
end
