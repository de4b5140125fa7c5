# frozen_string_literal: true

module Pages
  module Items
    # What is to be done with an item, by its place; and numbers.
    class ItemsContract < Shared::Contract
      params do
        optional(:do).filled(:string, included_in?: %w[change out earlier later add anew])
        optional(:item).filled(:integer, included_in?: 0...Records::ItemsByHand::MOST)
        optional(:numbers).value(:array, max_size?: 6).each(:integer, included_in?: 0..Rungs::Activity::ByHand::LARGEST)
      end
    end
  end
end
