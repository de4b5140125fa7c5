# frozen_string_literal: true

module Pages
  module Conduct
    # Where the item on the board goes; or the move that is drawn there.
    class DoContract < Shared::Contract
      params do
        required(:do).filled(:string, included_in?: Records::ItemOnBoard::Commands::ALL)
        optional(:part).filled(:integer, included_in?: ID)
        optional(:value).maybe(:string, format?: /\A(\d{1,3}(\.\d{1,2})?|[a-z_]{1,40})\z/)
      end
    end
  end
end
