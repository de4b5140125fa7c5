# frozen_string_literal: true

module Pages
  module Board
    # What a hand at the board may do.
    class HandContract < Shared::Contract
      params do
        required(:do).filled(:string, included_in?: Records::ItemOnBoard::Commands::BY_HAND)
        optional(:value).maybe(:string, max_size?: 40)
      end
    end
  end
end
