# frozen_string_literal: true

module Pages
  module Listen
    # Where everybody sits.
    class SeatsPage < Shared::Page
      view :"listen/seats", tab: "listen", title: "Where everybody sits"
      def_delegators :seating, :seated, :unseated, :rows

      def margin = nil

      private

      def seating = @seating ||= Records::Seating.new(room)
    end
  end
end
