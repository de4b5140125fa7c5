# frozen_string_literal: true

module Pages
  module Hear
    # Whom to listen to in the coming days, with reasons.
    class Page < Shared::Page
      view :"hear/hear", tab: "climb", title: "Whom to hear"

      def days = @days ||= room.school_days(today, 5)

      # School days in which everybody who is there has had a turn.
      def round = (room.children.size / ((listening.places + 1) / 2).to_f).ceil

      # @return [Hash{Array(Integer, Date) => Turn}] by child and day
      def turns
        @turns ||= plan.flat_map { |day| day.turns.map { |turn| [[turn.child.id, day.date], turn] } }.to_h
      end

      # Those that come first, first.
      def in_turn
        order = turns.keys.map(&:first).uniq
        room.children.sort_by.with_index { |child, place| [order.index(child.id) || order.size, place] }
      end

      def heard?(turn, day) = day.date == today && listening.heard?(turn.child, today)
      def day_of(day) = day.date == today ? "today" : long_date(day.date)

      # "Away: nobody", "Away: Ada, Bo"
      def who_is_away(day)
        names = room.children.select { |child| away_on(day).include?(child.id) }.map(&:name)
        "Away: #{names.empty? ? 'nobody' : names.join(', ')}"
      end

      def away_on(day) = (@away ||= room.absences(days)).fetch(day, [])

      # Today's list stands once the lesson has begun; the days after follow from it.
      # @return [Array<Rungs::Progress::Listening::Day>]
      def plan
        @plan ||= begin
          stands = days.first == today && lesson_today&.listening
          first = Rungs::Progress::Listening::Day.new(date: today, turns: listening.on(today)) if stands
          first ? [first, *listening.plan(days, heard_first: first.turns.map(&:child)).drop(1)] : listening.plan(days)
        end
      end

      def next_up = listening.waiting(today).map(&:child)
    end
  end
end
