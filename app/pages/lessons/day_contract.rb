# frozen_string_literal: true

module Pages
  module Lessons
    # A day of the plan; whether the link to it is called back, and what stands open.
    class DayContract < Shared::Contract
      params do
        optional(:day).maybe(:date)
        optional(:off).filled(:bool)
        optional(:open).maybe(:string)
      end

      rule(:day).validate(:of_class)
    end
  end
end
