# frozen_string_literal: true

module Pages
  module Search
    # What one field finds: children, problems that were posed, a day.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      get "/:room" do
        @words = checked(SearchContract)[:q].to_s
        @title = "Search"
        @margin = class_margin { |child| "/climb/#{room.id}/children/#{child.id}" }
        @found = Records::Search.new(room, @words, today)
        erb :"search/search"
      end
    end
  end
end
