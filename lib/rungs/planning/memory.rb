# frozen_string_literal: true

module Rungs
  module Planning
    # What a class has met and when, which items it had of late, and what this week has already.
    class Memory
      # @param met [Hash{Array(String, String) => Date}] by thing, as Novelty has them, the last day it was there
      # @param recent [Array<Array(String, Hash)>] activity and data of the items of the last school days
      # @param due [Hash{String => DueAgain}] by activity
      # @param done [Hash{String => Array<Date>}] by activity, the days of lessons it was done on
      def initialize(met:, recent:, due: {}, done: {})
        @met = { **done.to_h { |id, days| [["activity", id], days.max] }, **met }
        @done = done
        @focus = []
        @times = Hash.new(0)
        @due = due.dup
        @taken = recent.to_set
        @used = Hash.new(0)
      end

      # @return [Date, nil]
      def last(thing) = @met[thing]

      # @return [DueAgain, nil] where an activity that was new is to come back on that day
      def due(kind, date) = @due[kind.id]&.then { |due| due if due.on <= date }

      # For sorting, the longest ago first: in this week, and before it.
      def turn(thing) = [@used[thing], @met[thing]&.jd || 0]

      # What of some things is new.
      def new_of(things) = Novelty.new_of(things, @met)

      # Whether the class has met an activity; the usual parts of a lesson are never new.
      def known?(kind) = @met.key?(["activity", kind.id]) || Activity::USUAL.include?(kind.id)

      def taken?(kind, data) = @taken.include?([kind.id, data])

      # How often these choices were in this week.
      def used(candidate) = @times[candidate]

      # @param picture [Hash] the choices that are about the picture
      # @return [Array<Date>] on which it was there; of earlier lessons in any picture
      def focus_days(kind, picture)
        @done.fetch(kind.id, []) + @focus.filter_map { |day, *what| day if what == [kind, picture] }
      end

      # What was the focus of a day.
      def keep_focus(date, candidate, picture)
        @focus << [date, candidate.kind, picture]
        @times[candidate] += 1
      end

      # A part of that day.
      def remember(date, kind, items, things)
        @due.delete(kind.id) if due(kind, date)
        @taken.merge(items.map { |data| [kind.id, data] })
        things.each do |thing|
          @used[thing] += 1
          @met[thing] = date
        end
      end
    end
  end
end
