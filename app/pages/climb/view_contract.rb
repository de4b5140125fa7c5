# frozen_string_literal: true

module Pages
  module Climb
    # How the class is looked at: operation, bands or families, two days counted back from today, and the column it is
    # sorted by.
    class ViewContract < Shared::Contract
      params do
        optional(:operation).filled(:string, included_in?: Rungs::Problem::OPERATIONS)
        optional(:by).filled(:string, included_in?: %w[bands families])
        optional(:from).filled(:integer, included_in?: 0..3660)
        optional(:to).filled(:integer, included_in?: 0..3660)
        optional(:sort).filled(:string, max_size?: 40)
      end
    end
  end
end
