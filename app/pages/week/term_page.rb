# frozen_string_literal: true

module Pages
  module Week
    # What was done in this term and what not yet.
    class TermPage < Shared::Page
      view :"week/term", tab: "plan", title: "The term"

      # Days that are looked back on.
      TERM = 112

      def from = today - TERM
      def rows = @rows ||= Records::Term.new(room, from, today).rows
      def margin = nil

      # What was new and is to come back: within this week, later, or not any more.
      # @return [Hash{String => Array<Array(Class, Rungs::Planning::DueAgain)>}] the first due first
      def due
        found = Records::ActivityHistory.new(room, today).coming_back(before: today + 1)
        known = found.map { |id, due| [Rungs::Activity::ALL.fetch(id), due] }
        safe, coming = known.partition { |_, due| due.nil? }
        now, soon = coming.sort_by { |_, due| due.on }.partition { |_, due| due.on <= week_end }
        { "This week" => now, "Soon" => soon, "Safe" => safe }.reject { |_, all| all.empty? }
      end

      private

      def week_end = today + ((5 - today.wday) % 7)
    end
  end
end
