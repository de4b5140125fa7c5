# frozen_string_literal: true

module Pages
  module Strings
    # A way offered for a problem of a string.
    class WayContract < Shared::Contract
      params do
        required(:problem).filled(:integer, included_in?: ID)
        optional(:move).maybe(:string, included_in?: Rungs::Strategy::Move::ALL.ids)
        optional(:written).maybe(:string, max_size?: 60)
        optional(:initials).maybe(:string, max_size?: 12)
      end
    end
  end
end
