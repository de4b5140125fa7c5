# frozen_string_literal: true

module Pages
  module Account
    # A list of children as it was pasted.
    class ListContract < Shared::Contract
      params { optional(:list).value(:string, max_size?: 20_000) }
    end
  end
end
