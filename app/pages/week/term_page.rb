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
    end
  end
end
