# frozen_string_literal: true

module Pages
  module Listen
    # A new record. happened_at: when it was tapped, by the clock of the device; held_at: when it was heard, where it is
    # taken down from paper.
    class RecordContract < Shared::Contract
      params do
        required(:child_id).filled(:integer, included_in?: ID)
        optional(:problem_id).filled(:integer, included_in?: ID)
        optional(:part_id).filled(:integer, included_in?: ID)
        optional(:item).filled(:integer, included_in?: 0..299)
        required(:code).filled(:string, included_in?: Details::CODES)
        required(:client_key).filled(:string, format?: UUID)
        optional(:equation).filled(:string, max_size?: 60)
        optional(:happened_at).maybe(:string, max_size?: 60)
        optional(:held_at).filled(:string, max_size?: 60)
        optional(:move).filled(:string, included_in?: Rungs::Strategy::Move::ALL.ids)
        optional(:answer).filled(:integer, included_in?: 0..999)
        optional(:heard).filled(:string, format?: HeardContract::NUMBERS)
        optional(:seconds).filled(:integer, included_in?: 0..Details::LONGEST)
      end

      # An item that was not posed yet, since there was no connection, is named by its part.
      rule(:problem_id, :part_id, :item) do
        key.failure("say which problem it was") unless values[:problem_id] || (values[:part_id] && values[:item])
      end
    end
  end
end
