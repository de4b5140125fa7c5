# frozen_string_literal: true

module Pages
  module Coach
    # The one next step.
    class NextContract < Shared::Contract
      params { required(:next_step).filled(:string, max_size?: 200) }
    end
  end
end
