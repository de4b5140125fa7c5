# frozen_string_literal: true

module Pages
  module Plan
    # A bare equation, as typed.
    class EquationContract < Shared::Contract
      params { required(:equation).filled(:string, max_size?: 60) }
    end
  end
end
