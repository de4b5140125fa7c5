# frozen_string_literal: true

module Pages
  module Conduct
    # Where nothing is going on.
    class NothingPage < Shared::Page
      view :"conduct/nothing", tab: "plan", title: "Activities"

      def tab = substitute? ? "substitute" : super
      def margin = nil
    end
  end
end
