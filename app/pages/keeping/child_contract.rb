# frozen_string_literal: true

module Pages
  module Keeping
    # Whose file, and as what.
    class ChildContract < Shared::Contract
      params do
        required(:child).filled(:integer, included_in?: ID)
        required(:as).filled(:string, included_in?: %w[pdf json])
      end
    end
  end
end
