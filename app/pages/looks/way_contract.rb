# frozen_string_literal: true

module Pages
  module Looks
    # A way of seeing, as groups of marks ("1,2,3;4,5"), or by what is missing.
    class WayContract < Shared::Contract
      params do
        optional(:groups).maybe(:string, format?: /\A\d{1,2}(,\d{1,2})*(;\d{1,2}(,\d{1,2})*)*\z/, max_size?: 120)
        optional(:missing).filled(:bool)
        optional(:initials).maybe(:string, max_size?: 12)
      end
    end
  end
end
