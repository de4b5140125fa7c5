# frozen_string_literal: true

module Pages
  module Climb
    # The records behind a figure of one child, the latest first.
    class Behind
      TESTS = {
        key: ->(each, key, _) { each.key == key },
        operation: ->(each, operation, _) { each.operation == operation },
        band: ->(each, scope, _) { each.of?(each.operation, scope) },
        rung: ->(each, rung, _) { each.record.rung == rung },
        fact: ->(each, fact, _) { each.record.fact.join(".") == fact },
        slip: ->(each, slip, _) { each.slip && "#{each.slip.table}.#{each.slip.id}" == slip },
        days: ->(each, days, today) { (today - each.record.day).to_i <= days }
      }.freeze

      # @param heard [Array<Records::Evidence::Heard>]
      # @param which [Hash] as the contract gives it
      def initialize(heard, which, today)
        @heard = heard
        @which = which
        @today = today
      end

      def records = @heard.select { |each| meant?(each) }.reverse

      private

      def meant?(each) = @which.all? { |name, value| TESTS.fetch(name).call(each, value, @today) }
    end
  end
end
