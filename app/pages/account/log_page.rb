# frozen_string_literal: true

module Pages
  module Account
    # What was done with the account and in its classes, a page of it.
    class LogPage < Shared::Page
      view :"account/log", title: "What was done"

      def margin = nil
      def page = asked[:page] || 1
      def rows = @rows ||= Records::Audit.of(person, page: page)
    end
  end
end
