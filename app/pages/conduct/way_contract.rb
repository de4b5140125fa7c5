# frozen_string_literal: true

module Pages
  module Conduct
    # A way a child gave for one item, as it is written.
    class WayContract < Shared::Contract
      params do
        required(:item).filled(:integer, included_in?: 0..299)
        required(:written).filled(:string, max_size?: 60)
        optional(:initials).maybe(:string, max_size?: 12)
      end
    end
  end
end
