# frozen_string_literal: true

module Pages
  module Coach
    # A visit: what is agreed before it; while it goes on nothing of what was heard; then what both heard.
    class VisitPage < Shared::Page
      view :"coach/visit", tab: "coach"

      def initialize(visitor, shown)
        super(visitor)
        @shown = shown
      end

      attr_reader :shown

      def title = "A visit to #{room.name}"
      def here = "/coach/#{room.id}/visits/#{shown.id}"
      def coach? = shown.account_id == person.id
      def agreement = shown.agreement
      def before = @before ||= shown.before

      # What somebody took down, in words.
      def said(record) = record.summary
      def agreed_by_me? = shown.agreed.to_a.include?(person.id)

      # "0.71 (0.47 to 0.90)"
      def figure(value, interval) = value && format("%.2f (%.2f to %.2f)", value, *interval)

      def rung_title(id) = Rungs::Strategy::Rung::ALL.fetch(id).title.downcase
    end
  end
end
