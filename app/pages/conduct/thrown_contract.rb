# frozen_string_literal: true

module Pages
  module Conduct
    # A throw of real things, tapped in for one item.
    class ThrownContract < Shared::Contract
      params do
        required(:item).filled(:integer, included_in?: 0..299)
        required(:shown).filled(:string, max_size?: 20)
      end
    end
  end
end
