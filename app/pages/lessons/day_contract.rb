# frozen_string_literal: true

module Pages
  module Lessons
    # A day of the plan; and whether the link to it is called back.
    class DayContract < Shared::Contract
      params do
        optional(:day).maybe(:date)
        optional(:off).filled(:bool)
      end

      rule(:day).validate(:of_class)
    end
  end
end
