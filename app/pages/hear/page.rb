# frozen_string_literal: true

module Pages
  module Hear
    # Whom to listen to in the coming days, with reasons.
    class Page < Shared::Page
      view :"hear/hear", tab: "climb", title: "Whom to hear"

      def days = @days ||= room.school_days(today, 5)

      # School days in which everybody who is there has had a turn.
      def round = (room.children.size / ((listening.places + 1) / 2).to_f).ceil

      # "Who is away: nobody", "Who is away: Ada, Bo"
      def who_is_away(day)
        names = room.children.select { |child| away_on(day).include?(child.id) }.map(&:name)
        "Who is away: #{names.empty? ? 'nobody' : names.join(', ')}"
      end

      def away_on(day) = (@away ||= room.absences(days)).fetch(day, [])

      # Today's list stands once the lesson has begun; the days after follow from it.
      # @return [Array<Rungs::Progress::Listening::Day>]
      def plan
        stands = days.first == today && lesson_today&.listening
        return listening.plan(days) unless stands

        first = Rungs::Progress::Listening::Day.new(date: today, turns: listening.on(today))
        [first, *listening.plan(days, heard_first: first.turns.map(&:child)).drop(1)]
      end

      def next_up = listening.waiting(today).map(&:child)
    end
  end
end
