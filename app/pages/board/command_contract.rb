# frozen_string_literal: true

module Pages
  module Board
    # What may be asked of the board.
    class CommandContract < Shared::Contract
      params do
        required(:do).filled(:string, included_in?: Records::ItemOnBoard::Commands::ALL + %w[problem])
        optional(:value).maybe(:string, max_size?: 40)
      end
    end
  end
end
