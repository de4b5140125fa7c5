# frozen_string_literal: true

module Pages
  module Listen
    # A change to one.
    class ChangeContract < Shared::Contract
      params do
        required(:client_key).filled(:string, format?: UUID)
        optional(:code).filled(:string, included_in?: Details::CODES)
        optional(:move).maybe(:string, included_in?: Rungs::Strategy::Move::ALL.ids)
        optional(:answer).maybe(:integer, included_in?: 0..999)
        optional(:right).filled(:bool)
        optional(:used).value(:string, max_size?: 80)
        optional(:help).filled(:string, included_in?: Details::HELP)
      end

      rule(:used) do
        key.failure("is not one of #{Details::USED.join(', ')}") if value && (value.split(",") - Details::USED).any?
      end
    end
  end
end
