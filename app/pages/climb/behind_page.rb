# frozen_string_literal: true

module Pages
  module Climb
    # The records of a child behind a figure, the latest first.
    class BehindPage < Shared::Page
      view :"climb/_records", tab: "climb"

      SHOWN = 60

      attr_reader :child

      def initialize(visitor, child, **asked)
        super(visitor, **asked)
        @child = child
      end

      def title = child.name
      def margin = nil
      def found = @found ||= Behind.new(evidence.all(child), asked, today).records
    end
  end
end
