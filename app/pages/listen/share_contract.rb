# frozen_string_literal: true

module Pages
  module Listen
    # With whom the list is shared, or whose share is changed.
    class ShareContract < Shared::Contract
      params do
        optional(:with).maybe(:integer, included_in?: ID)
        optional(:child).maybe(:integer, included_in?: ID)
      end

      rule(:with, :child) { base.failure("say with whom, or which name") unless values[:with] || values[:child] }
    end
  end
end
