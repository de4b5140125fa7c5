# frozen_string_literal: true

module Pages
  module Hear
    # A child who is away on a day, or is there after all.
    class AwayContract < Shared::Contract
      params do
        required(:child).filled(:integer, included_in?: ID)
        required(:day).filled(:date)
        required(:away).filled(:bool)
      end

      rule(:day).validate(:of_class)
    end
  end
end
