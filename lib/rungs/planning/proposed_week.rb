# frozen_string_literal: true

require "forwardable"

module Rungs
  module Planning
    # A proposed week (guide 11): days with one aim. Each has a warm-up over what is known, a focus for the aim that
    # stays for two or three days, a story with numbers for everybody, and something to practise; the last two days
    # listen to everybody once, the last one looks back. One new thing a day at most, and none on the day after or on
    # the last. No item of the last ten school days comes again while there are others. The same class, days and seed
    # give the same week.
    #
    #   ProposedWeek.new(days: days, aim: aim, standing: standing, seed: 3).days.first.parts.map(&:title)
    class ProposedWeek
      # kind: an activity. role: its place in a day. options, seed, items: what its set is made of, and its data. fresh:
      # what of it is new to the class, as Novelty has things; nil where nothing is. reason: a sentence. sets: numbers
      # for everybody, of a story. told: whether its items are kept themselves. slip: the id of one it brings out.
      Part = Struct.new(:kind, :role, :minutes, :range, :options, :seed, :items, :fresh, :reason, :sets, :told, :slip,
                        keyword_init: true) do
        def title = kind.title

        def to_h
          { role: role.to_s, activity: kind.id, title: title, options: options, seed: seed, count: items.size,
            minutes: minutes, new: !fresh.nil?, what: fresh&.first, reason: reason, sets: sets.to_a.map(&:to_h) }
        end
      end

      # date: Date. parts: Array<Part>.
      Day = Struct.new(:date, :parts, keyword_init: true) do
        def minutes = parts.sum(&:minutes)
        def fresh = parts.find(&:fresh)
      end

      # School days after which an item may come again.
      AGAIN = 10
      # What matters most is found first. Some may bring something new.
      FIRST, NEW = %i[focus story practise games warm_up look_back check].freeze, %i[focus story].freeze
      # How many days one focus stays, by the days of a week.
      STAYS = { 4 => 2 }.freeze
      # The days of taking away, while children are got to know.
      KNOWN = (2..3)
      # A slip is brought out on the second day; a warm-up with it takes so many minutes.
      SLIP_DAY, SLIP_MINUTES = 1, 4

      extend Forwardable

      attr_reader :outlook

      def_delegators :outlook, :aim, :standing, :check, :getting_to_know?

      # @param days [Array<Date>] school days, in order
      # @param aim [Aim]
      # @param standing [Standing] of the aim's operation
      # @param minutes [Integer] the time there is each day
      # @param met [Hash{Array(String, String) => Date}] by thing, as Novelty has them, the last day it was there
      # @param due [Hash{String => DueAgain}] what was new and comes back, by activity
      # @param told [Hash{String => Integer}] how often each situation was told
      # @param recent [Array<Array(String, Hash)>] activity and data of the items of the last school days
      # @param slips [Array<SharedSlip>] commonest first
      # @param without [Array<String>] keys of candidates that are not wanted
      # @param has [Array<String>, nil] things on the class's shelf: what needs others comes last; nil where that is not
      #   known
      # @param settings [Hash] of the class, as activities take them
      def initialize(days:, aim:, standing:, seed:, minutes: 25, met: {}, due: {}, told: {}, recent: [], slips: [],
                     without: [], has: nil, settings: {})
        @outlook = Outlook.new(days: days, aim: aim, standing: standing, seed: seed)
        @dates = days
        @seed = seed
        @minutes = minutes
        @without = without
        @settings = settings
        @slips = slips
        @memory = Memory.new(met: met, recent: recent, due: due)
        @told = Hash.new(0).merge(told)
        @has = has
      end

      # @return [Array<Day>]
      def days = @days ||= @dates.each_with_index.map { |date, index| day(date, index) }

      def i_can = aim.i_can

      # What may take the place of one part of the first day.
      # @param role [Symbol]
      # @param beside [Array<Class>] activities that the day has already
      # @param fresh [Boolean] whether something else of that day is new
      # @return [Part, nil] nil where nothing else fits
      def next_best(role, beside: [], fresh: false)
        begin_day(@dates.first, 0)
        @today, @fresh = beside.dup, fresh
        span = Shape::SPANS.fetch(role)
        part(role, @minutes.clamp(span.min, span.max))
      end

      private

      # What a day is for: the week's aim; where children are only got to know, adding on two days and taking away on
      # the next two.
      def aim_of(index)
        return aim unless getting_to_know?

        range = [standing.first_range, aim.range].min_by { |each| Ranges.place(each) }
        turned = KNOWN.include?(index) ? "subtract" : aim.operation
        Aim.new(operation: turned, range: range, rung: Problem::Band::ALL.fetch(range).unheard)
      end

      def candidates
        (@candidates ||= {})[@now] ||= Candidates.new(aim: @now, back_to: back_to, memory: @memory, stories: stories,
                                                      slips: @slips.map(&:id), has: @has)
      end

      # Where the class is, but not beyond the day's range.
      def back_to = [@now.range, standing.range].min_by { |range| Ranges.place(range) }

      def stories
        (@stories ||= {})[@now] ||= Stories.new(operation: @now.operation, year: standing.year, told: @told)
      end

      def fitting = (@fitting ||= {})[@now] ||= Fitting.new(@now, @memory)
      def reasons = (@reasons ||= {})[@now] ||= Reasons.new(standing, @now, @memory)

      def begin_day(date, index)
        @date, @index, @now = date, index, aim_of(index)
        @random = Random.new((@seed * 1009) + date.jd)
        @today, @fresh = [], nil
      end

      def day(date, index)
        begin_day(date, index)
        roles = Shape.roles(index, of: @dates.size, minutes: @minutes, checked: !check.nil?)
        minutes = Shape.minutes(roles, of: @minutes, year: standing.year)
        another = (index % stays).zero? || @now != aim_of(index - 1)
        @focus = nil if another && index.positive? && roles.include?(:focus)
        found = FIRST.select { |role| minutes.key?(role) }.to_h { |role| [role, part(role, minutes[role])] }
        bring_out_slip(found)
        @before = @fresh
        Day.new(date: date, parts: found.values_at(*minutes.keys).compact)
      end

      # Which story of the week this day's would be, and of how many.
      def story_place
        roles = @dates.each_index.map { |index| Shape.roles(index, of: @dates.size, minutes: @minutes) }
        days = roles.each_index.select { |index| roles[index].include?(:story) }
        [days.index(@index), days.size]
      end

      # Two or three days.
      def stays = STAYS.fetch(@dates.size, 3)

      # The first that fits and brings nothing new where that may not be; with items that were not there of late, or
      # where there are none, with those.
      def part(role, minutes)
        return checked(minutes) if role == :check

        found = candidates.for(role, story: story_place, focus: @focus, date: @date, random: @random)
        found = found.reject { |each| @without.include?(each.key) || unwanted?(each, role) }
        in_order(found, role).each do |each, unlike|
          made = set(each, role, unlike) and return place(each, role, minutes, made)
        end
        nil
      end

      # What is the focus already stays, if with items that were there of late.
      def in_order(found, role)
        stays = role == :focus && @focus ? [@focus] : []
        [stays, found].flat_map { |some| [true, false].flat_map { |unlike| some.map { |each| [each, unlike] } } }
      end

      # Nothing twice on a day, but the focus once more to practise with other numbers.
      def unwanted?(candidate, role)
        @today.include?(candidate.kind) && !(%i[practise games look_back].include?(role) && candidate == @focus)
      end

      def place(candidate, role, minutes, made)
        kind, things = candidate.kind, made.delete(:things)
        times = @told[candidate.options["situation"]]
        reason = reason(role, kind, made, times)
        @memory.keep(@date, kind, made[:items], things)
        @told[candidate.options["situation"]] += 1 if role == :story
        @focus = candidate if role == :focus
        @today << kind
        @fresh ||= made[:fresh]
        Part.new(kind: kind, role: role == :games ? :practise : role, minutes: minutes, reason: reason, **made)
      end

      def reason(role, kind, made, times)
        case role
        when :focus then reasons.focus(fitting.problems(kind.with(made[:options], @settings), made[:items]))
        when :story then reasons.story(times, made[:sets])
        when :warm_up then reasons.warm_up(made[:range], made[:items].size)
        when :look_back then reasons.look_back
        else reasons.again(kind, @date, made[:items].size)
        end
      end

      # @param unlike [Boolean] whether items of late are left out
      # @return [Hash, nil] range, options, seed, items, and what is new; nil where it cannot be
      def set(candidate, role, unlike)
        kind, options = candidate.kind, candidate.options
        range = Activity::Ranged.of(options) || options["band"] || @now.range
        things = Novelty.things(kind, options, situation: options["situation"], range: range)
        fresh = getting_to_know? ? [] : @memory.new_of(things)
        return if fresh.size > (may_be_new?(role) ? 1 : 0)

        made = (@made ||= {})[[kind.id, options]] ||= kind.with(options, @settings)
        seed, items = fitting.draw(made, role, @random, unlike: unlike)
        return unless items

        { range: range, options: options, seed: seed, items: items, things: things, fresh: fresh.first,
          **(role == :story ? sets(made, items) : {}) }
      end

      def may_be_new?(role)
        last = @dates.size > Shape::CHECKED && @index == @dates.size - 1
        NEW.include?(role) && !@fresh && !@before && !last
      end

      # A story's numbers for everybody: its items are the sets.
      def sets(made, items)
        middle = made.problem_of(items.first)
        return { sets: [] } if middle.parts.size > 2 || middle.many_answers?

        sets = StorySets.of(middle, standing.levels(@now), random: @random)
        told = sets.map do |set|
          made.class.told(set.problem, words(items.first, set.problem), number_set: set.level,
                                                                        **items.first.slice(:template, :things))
        end
        { sets: sets, items: told, told: true }
      end

      # The same story with other numbers.
      def words(data, problem)
        book = @settings[:book]&.call || Problem::Book::USUAL
        template = book[data[:template]]
        return data[:words] unless template&.suits?(problem)

        names = book.names(Random.new(@seed + @index))
        Problem::Story.new(problem, template: template, names: names).text
      end

      # Everybody once on one of four like facts, beside what is practised.
      def checked(minutes)
        items = check.facts.map { |problem| Activity::POSED.told(problem, "") }
        options = Activity::POSED.fitted(band: @now.range, operation: @now.operation)
        Part.new(kind: Activity::POSED, role: :check, minutes: minutes, range: @now.range, options: options,
                 seed: @seed, items: items, reason: reasons.check(check), sets: [], told: true)
      end

      # One part a week brings out the commonest slip that several share and an activity for the aim makes: in the place
      # of practising; else a short warm-up does.
      def bring_out_slip(found)
        return unless @slips.any? && @index == [SLIP_DAY, @dates.size - 1].min

        aimed = found.key?(:practise) && @slips.any? { |slip| brought_out(found, :practise, slip) }
        brought_out(found, :warm_up, @slips.first) unless aimed
      end

      # @return [Part, nil]
      def brought_out(found, role, slip)
        way = role == :practise ? :bringing_out : :warming_up_for
        there = candidates.public_send(way, slip.id, @random)
        others = there.partition { |each| !@today.include?(each.kind) }.flatten(1)
        others.each do |each|
          made = set(each, role, true) or next
          minutes = role == :practise ? found[role].minutes : SLIP_MINUTES
          part = place(each, role, minutes, made)
          part.slip, part.reason = slip.id, reasons.slip(slip)
          return found[role] = part
        end
        nil
      end
    end
  end
end
