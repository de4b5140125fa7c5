# frozen_string_literal: true

module Pages
  module Groups
    # How to group: where, how big, or as they were moved by hand.
    class GroupsContract < Shared::Contract
      params do
        optional(:operation).filled(:string, included_in?: Rungs::Problem::OPERATIONS)
        optional(:band).filled(:string, included_in?: Rungs::Problem::Band::ALL.ids)
        optional(:least).filled(:integer, included_in?: 1..12)
        optional(:most).filled(:integer, included_in?: 1..12)
        optional(:groups).filled(:string, format?: /\A\d+(\.\d+)*(_\d+(\.\d+)*)*\z/, max_size?: 2000)
        optional(:item).maybe(:integer, included_in?: ID)
        optional(:place).maybe(:integer, included_in?: 0..30)
        optional(:one).filled(:integer, included_in?: ID)
        optional(:other).filled(:integer, included_in?: ID)
        optional(:together).filled(:bool)
      end
    end
  end
end
