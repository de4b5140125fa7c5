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
      Rungs.shelve self
      extend Forwardable

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
      # How many days one focus stays, by the days of a week; two or three.
      STAYS = Hash.new(3).merge(4 => 2).freeze
      # The days of taking away, while children are got to know.
      KNOWN = (2..3)
      # A slip is brought out on the second day.
      SLIP_DAY = 1

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
        @slips = slips
        @choice = Choice.new(standing: standing, memory: Memory.new(met: met, recent: recent, due: due), slips: slips,
                             told: Hash.new(0).merge(told), has: has, without: without, settings: settings)
      end

      # @return [Array<Day>]
      def days = @days ||= @dates.each_index.map { |index| day(index) }

      def i_can = aim.i_can

      # What may take the place of one part of the first day.
      # @param role [Symbol]
      # @param beside [Array<Class>] activities that the day has already
      # @param fresh [Boolean] whether something else of that day is new
      # @return [Part, nil] nil where nothing else fits
      def next_best(role, beside: [], fresh: false)
        span = Shape::SPANS.fetch(role)
        one_day(0, kinds: beside, new_allowed: !fresh).part(role, @minutes.clamp(span.min, span.max))
      end

      private

      def day(index)
        roles = roles(index, checked: !check.nil?)
        minutes = Shape.minutes(roles, of: @minutes, year: standing.year)
        another = (index % STAYS[@dates.size]).zero? || aim_of(index) != aim_of(index - 1)
        @focus = nil if another && index.positive? && roles.include?(:focus)
        made = one_day(index, new_allowed: !@new_before)
        parts = made.parts(minutes, slips: index == [SLIP_DAY, @dates.size - 1].min ? @slips : [])
        @focus, @new_before = made.focus, made.fresh
        Day.new(date: @dates[index], parts: parts)
      end

      # Nothing new on the last day of a whole week.
      def one_day(index, new_allowed:, kinds: [])
        last = @dates.size > Shape::CHECKED && index == @dates.size - 1
        OneDay.new(@dates[index], choice: @choice.for(aim_of(index)), check: check, seed: @seed, index: index,
                                  story: story_place(index), focus: @focus, kinds: kinds,
                                  new_allowed: new_allowed && !last)
      end

      # What a day is for: the week's aim; where children are only got to know, adding on two days and taking away on
      # the next two.
      def aim_of(index)
        return aim unless getting_to_know?

        range = [standing.first_range, aim.range].min_by { |each| Ranges.place(each) }
        turned = KNOWN.include?(index) ? "subtract" : aim.operation
        Aim.new(operation: turned, range: range, rung: Problem::Band::ALL.fetch(range).unheard)
      end

      def roles(index, **also) = Shape.roles(index, of: @dates.size, minutes: @minutes, **also)

      # @return [Array(Integer, Integer)] which story of the week this day's would be, and of how many
      def story_place(index)
        days = @dates.each_index.select { |each| roles(each).include?(:story) }
        [days.index(index), days.size]
      end
    end
  end
end
