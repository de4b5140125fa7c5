# frozen_string_literal: true

module Pages
  module Coach
    # In which operation and range the classes are looked at.
    class LookContract < Shared::Contract
      params do
        optional(:operation).value(:string, included_in?: Rungs::Problem::OPERATIONS)
        optional(:band).value(:string, included_in?: Rungs::Problem::Band::ALL.ids)
      end
    end
  end
end
