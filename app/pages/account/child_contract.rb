# frozen_string_literal: true

module Pages
  module Account
    # Another name for a child, or another place in the list.
    class ChildContract < Shared::Contract
      params do
        optional(:name).filled(:string, max_size?: NAME_LENGTH)
        optional(:do).filled(:string, included_in?: %w[earlier later])
      end
    end
  end
end
