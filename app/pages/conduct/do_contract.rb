# frozen_string_literal: true

module Pages
  module Conduct
    # Where the item on the board goes; or the move that is drawn there.
    class DoContract < Shared::Contract
      PLACE = /\A\d{1,3}(\.\d{1,2})?\z/

      params do
        required(:do).filled(:string, included_in?: Records::ItemOnBoard::Commands::ALL)
        optional(:part).filled(:integer, included_in?: ID)
        optional(:value).maybe(:string, max_size?: 40)
      end

      rule(:do, :value) do
        value = values[:value]
        known = values[:do] == "stand" ? Rungs::Strategy::Move::ALL.ids.include?(value) : PLACE.match?(value.to_s)
        base.failure("choose a step, or a way") unless value.nil? || known
      end
    end
  end
end
