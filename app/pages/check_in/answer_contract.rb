# frozen_string_literal: true

module Pages
  module CheckIn
    # One answer in a check-in.
    class AnswerContract < Shared::Contract
      params do
        required(:problem_id).filled(:integer, included_in?: ID)
        required(:code).filled(:string, included_in?: Listen::Details::CODES)
        required(:client_key).filled(:string, format?: UUID)
        optional(:answer).maybe(:integer, included_in?: 0..999)
      end
    end
  end
end
