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

      # What was new and is to come back, the first due first.
      # @return [Array<Array(Class, Rungs::Planning::DueAgain)>]
      def due
        found = Records::ActivityHistory.new(room, today).due_again(before: today + 1).sort_by { |_, due| due.on }
        found.map { |id, due| [Rungs::Activity::ALL.fetch(id), due] }
      end

      # "now", "by Friday": when it is due.
      def due_by(due) = due.on <= today ? "now" : "from #{day_named(due.on, today)}"
    end
  end
end
