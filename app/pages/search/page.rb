# frozen_string_literal: true

module Pages
  module Search
    # What one field finds.
    class Page < Shared::Page
      view :"search/search", title: "Search"

      def words = asked[:q].to_s
      def found = @found ||= Records::Search.new(room, words, today)
    end
  end
end
