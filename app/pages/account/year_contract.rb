# frozen_string_literal: true

module Pages
  module Account
    # What the class of the new year is called, and whether its records come along.
    class YearContract < Shared::Contract
      params do
        required(:name).filled(:string, max_size?: NAME_LENGTH)
        required(:records).filled(:bool)
      end
    end
  end
end
