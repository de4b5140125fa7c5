# frozen_string_literal: true

module Pages
  module Listen
    # Before anything was posed.
    class NothingPage < Shared::Page
      view :"listen/nothing", tab: "listen", title: "Listen"

      def margin = nil
    end
  end
end
