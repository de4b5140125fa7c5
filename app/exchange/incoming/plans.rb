# frozen_string_literal: true

module Exchange
  module Incoming
    # Lessons and weeks of a colleague, on the same days or from another week on.
    class Plans < Kind
      # The week in which they begin here (monday; chosen, where it was said), and each lesson as it would come.
      def shows
        lessons = plans.coming.map { |each| { day: each.day, titles: each.titles, there: each.there, new: each.new? } }
        { from: named, weeks: @source.document["weeks"].any?, chosen: first, monday: first || lessons.dig(0, :day),
          lessons: lessons }
      end

      # @param name [String] of the file
      def bring(name)
        parts = brought("plans", name) { |id| plans.call(id) }
        done("#{parts} #{parts == 1 ? 'part' : 'parts'} brought in.")
      end

      private

      # @return [Date, nil] the Monday that was chosen
      def first
        Date.iso8601(@form["from"]) if @form["from"].to_s != ""
      rescue Date::Error
        refuse("“#{@form['from']}” is not a date; nothing was brought in")
      end

      def plans = @plans ||= Archive::BringingPlans.new(@source.document, room, from: first)
    end
  end
end
