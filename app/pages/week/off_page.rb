# frozen_string_literal: true

module Pages
  module Week
    # Days without school that a calendar’s file has, before they are marked.
    class OffPage < Shared::Page
      view :"week/off", tab: "plan", title: "Days without school"

      def monday = asked.fetch(:monday)
      def days = asked.fetch(:days)
      def here = "/week/#{room.id}?from=#{monday}"
    end
  end
end
