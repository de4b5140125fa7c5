# frozen_string_literal: true

module Pages
  module Climb
    # How the class is looked at.
    class View
      # @param form [Hash] as ViewContract gives it; from and to are days before today
      def initialize(form, first:, today:)
        @form = form
        @first = first
        @today = today
      end

      def operation = @form.fetch(:operation, "add")
      def families? = @form[:by] == "families"
      def sort = @form.fetch(:sort, "name")

      # Days back from today that the sliders reach.
      def reach = @reach ||= [(@today - @first).to_i, 1].max
      def days_to = @days_to ||= [@form.fetch(:to, 0), reach].min
      def days_from = @days_from ||= @form.fetch(:from, Page::SINCE_DAYS).clamp(days_to, reach)
      def to = @to ||= @today - days_to
      def from = @from ||= @today - days_from

      # An address with one thing changed.
      def query(**changes)
        now = { operation: operation, by: (families? ? "families" : "bands"), from: days_from, to: days_to, sort: sort }
        URI.encode_www_form(now.merge(changes))
      end
    end
  end
end
