# frozen_string_literal: true

require "dry/validation"

module Pages
  module Shared
    # What forms and imported rows may hold.
    class Contract < Dry::Validation::Contract
      UUID = /\A\h{8}-\h{4}-\h{4}-\h{4}-\h{12}\z/
      ID = 1..(10**17)
      NAME_LENGTH = 40
      # The days of a class.
      DAYS = Date.new(2000, 1, 1)..Date.new(2100, 12, 31)

      register_macro(:of_class) do
        key.failure("is from the year 2000 to 2100") if value && !DAYS.cover?(value)
      end

      # One of each is enough: it keeps nothing of what it checks.
      def self.call(input) = (@checker ||= new).call(input)
    end
  end
end
