# frozen_string_literal: true

module Pages
  module Coach
    # What is agreed before a visit.
    class VisitContract < Shared::Contract
      params do
        required(:day).filled(:date)
        optional(:with).maybe(:integer, included_in?: ID)
        optional(:aim).value(:string, max_size?: 200)
        optional(:question).value(:string, max_size?: 200)
        optional(:children).value(:array).each(:integer, included_in?: ID)
      end
    end
  end
end
