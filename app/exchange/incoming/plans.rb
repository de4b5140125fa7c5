# frozen_string_literal: true

module Exchange
  module Incoming
    # Lessons and weeks of a colleague, on the same days or from another week on.
    class Plans < Kind
      def from = named
      def coming = plans.coming
      def weeks = @source.document["weeks"].size

      # @return [Date, nil] the Monday that was chosen
      def first
        Date.iso8601(@form["from"]) if @form["from"].to_s != ""
      rescue Date::Error
        refuse("“#{@form['from']}” is not a date; nothing was brought in")
      end

      # @param name [String] of the file
      def bring(name)
        parts = brought("plans", name) { |id| plans.call(id) }
        done("#{parts} #{parts == 1 ? 'part' : 'parts'} brought in.")
      end

      private

      def plans = @plans ||= Archive::BringingPlans.new(@source.document, room, from: first)
    end
  end
end
