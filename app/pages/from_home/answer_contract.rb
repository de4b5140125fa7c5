# frozen_string_literal: true

module Pages
  module FromHome
    # Who brought a strip back, and what is written on it.
    class AnswerContract < Shared::Contract
      params do
        required(:child).filled(:integer, included_in?: ID)
        required(:code).filled(:string, included_in?: Records::HomeAnswer::CODES)
      end
    end
  end
end
