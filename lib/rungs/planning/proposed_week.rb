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

      # kind: an activity. role: its place in a day. options, seed, items: what its set is made of, and its data.
      # new_thing: what of it is new to the class, as Novelty has things; nil where nothing is. reason: a sentence.
      # sets: numbers for everybody, of a story. fixed: whether its items are kept themselves. slip: the id of one it
      # brings out.
      Part = Struct.new(:kind, :role, :minutes, :range, :options, :seed, :items, :new_thing, :reason, :sets, :fixed,
                        :slip, keyword_init: true) do
        include With

        def title = role == :check ? "Check" : kind.title

        def to_h
          { role: role.to_s, activity: kind.id, title: title, options: options, seed: seed, count: items.size,
            minutes: minutes, new: !new_thing.nil?, what: new_thing&.first, reason: reason,
            sets: sets.to_a.map(&:to_h) }
        end
      end

      # date: Date. parts: Array<Part>.
      Day = Struct.new(:date, :parts, keyword_init: true) do
        def minutes = parts.sum(&:minutes)
        def new_thing = parts.find(&:new_thing)

        # After how many minutes the others practise.
        def practises_at
          parts.take_while { |part| part.role != :practise }.sum(&:minutes)
        end
      end

      # School days after which an item may come again.
      AGAIN = 10
      # So many days a range that is new is done with things and pictures alone.
      NEW_DAYS = 4
      # What the first days are for, while children are got to know.
      KNOWN = %w[add add subtract subtract].freeze
      # A slip is brought out on the second day.
      SLIP_DAY = 1

      attr_reader :outlook

      def_delegators :outlook, :aim, :standing, :check, :getting_to_know?, :new_range?

      # @param days [Array<Date>] school days, in order
      # @param aim [Aim]
      # @param standing [Standing] of the aim's operation
      # @param other [Standing, nil] of the other one
      # @param minutes [Integer] the time there is each day
      # @param met [Hash{Array(String, String) => Date}] by thing, as Novelty has them, the last day it was there
      # @param due [Hash{String => DueAgain}] what was new and comes back, by activity
      # @param done [Hash{String => Array<Date>}] by activity, the days of lessons it was done on
      # @param times_told [Hash{String => Integer}] how often each situation was told
      # @param wrong [Array<String>] situations at which most were not right last
      # @param recent [Array<Array(String, Hash)>] activity and data of the items of the last school days
      # @param slips [Array<SharedSlip>] commonest first
      # @param without [Array<String>] keys of candidates that are not wanted
      # @param has [Array<String>, nil] things on the class's shelf: what needs others comes last; nil where that is not
      #   known
      # @param settings [Hash] of the class, as activities take them
      def initialize(days:, aim:, standing:, seed:, other: nil, minutes: 25, met: {}, due: {}, done: {}, times_told: {},
                     wrong: [], recent: [], slips: [], without: [], has: nil, settings: {})
        @outlook = Outlook.new(days: days, aim: aim, standing: standing, seed: seed)
        @dates = days
        @seed = seed
        @minutes = minutes
        @slips = slips
        memory = Memory.new(met: met, recent: recent, due: due, done: done)
        @choice = Choice.new(standing: standing, other: other, memory: memory, wrong: wrong,
                             times_told: Hash.new(0).merge(times_told), has: has, without: without,
                             settings: settings, days: days.size)
      end

      # @return [Array<Day>]
      def days = @days ||= @dates.each_index.map { |index| day(index) }

      def i_can = aim.i_can

      # @return [Array<Hash{Symbol => Object}>] as Outlook has them, with the times
      def with_adult = outlook.with_adult(days.to_h { |day| [day.date, day.practises_at] })

      # What may take the place of one part of the first day.
      # @param role [Symbol]
      # @param beside [Array<Class>] activities that the day has already
      # @param has_new [Boolean] whether something else of that day is new
      # @return [Part, nil] nil where nothing else fits
      def next_best(role, beside: [], has_new: false)
        span = Shape::SPANS.fetch(role)
        one_day(0, kinds: beside, new_allowed: !has_new).part(role, @minutes.clamp(span.min, span.max))
      end

      private

      def day(index)
        roles = roles(index, checked: !check.nil?)
        minutes = Shape.minutes(roles, of: @minutes, year: standing.year)
        @focus, @stayed = nil, 0 if index.positive? && aim_of(index) != aim_of(index - 1)
        made = one_day(index, new_allowed: !@new_before)
        parts = made.parts(minutes, slips: index == [SLIP_DAY, @dates.size - 1].min ? @slips : [])
        @focus, @stayed, @new_before = made.focus, made.stayed, made.new_thing
        Day.new(date: @dates[index], parts: parts)
      end

      # Nothing new on the last day of a whole week.
      def one_day(index, new_allowed:, kinds: [])
        last = @dates.size > Shape::CHECKED && index == @dates.size - 1
        things = new_range? && index < NEW_DAYS
        OneDay.new(@dates[index], choice: @choice.for(aim_of(index), things: things), check: check, seed: @seed,
                                  index: index, story: story_place(index), focus: @focus, stayed: @stayed.to_i,
                                  kinds: kinds, new_allowed: new_allowed && !last)
      end

      # What a day is for: the week's aim; where children are only got to know, adding on two days and taking away on
      # the next two, with the first numbers of the year.
      def aim_of(index)
        return aim unless getting_to_know?

        range = Ranges.nearer(standing.first_range, aim.range)
        Aim.new(operation: KNOWN.fetch(index, aim.operation), range: range, year: standing.year,
                rung: Aim.first(range, standing.year))
      end

      def roles(index, **also) = Shape.roles(index, of: @dates.size, minutes: @minutes, **also)

      # @return [Array(Integer, Integer)] which story of the week this day's would be, and of how many; of none where
      #   the days take turns themselves
      def story_place(index)
        return [nil, 0] if getting_to_know?

        days = @dates.each_index.select { |each| roles(each).include?(:story) }
        [days.index(index), days.size]
      end
    end
  end
end
