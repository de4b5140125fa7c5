# frozen_string_literal: true

module Pages
  module Account
    # Which page of what was done.
    class LogContract < Shared::Contract
      params { optional(:page).filled(:integer, included_in?: 1..10_000) }
    end
  end
end
