# frozen_string_literal: true

module Pages
  module Listen
    # A child and a seat, "none" to take it off; or all the rest.
    class SeatContract < Shared::Contract
      params do
        optional(:item).maybe(:integer, included_in?: ID)
        optional(:place).maybe(:string, format?: /\A(none|\d{1,2})\z/)
        optional(:fill).filled(:bool)
      end

      rule(:place) do
        key.failure("is not a seat of this room") if value && value != "none" && value.to_i >= Records::Seating::SEATS
      end
    end
  end
end
