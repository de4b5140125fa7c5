# frozen_string_literal: true

module Pages
  module Lessons
    # A day of the plan.
    class DayContract < Shared::Contract
      params { optional(:day).maybe(:date) }

      rule(:day).validate(:of_class)
    end
  end
end
