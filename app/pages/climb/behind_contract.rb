# frozen_string_literal: true

module Pages
  module Climb
    # Which records are meant: one, those of a rung, of a fact, or of a slip.
    class BehindContract < Shared::Contract
      params do
        optional(:key).filled(:string, format?: UUID)
        optional(:operation).filled(:string, included_in?: Rungs::Problem::OPERATIONS)
        optional(:band).filled(:string, max_size?: 40)
        optional(:rung).filled(:integer, included_in?: 1..5)
        optional(:fact).filled(:string, format?: /\A\d{1,3}(\.\d{1,3}){1,2}\z/)
        optional(:slip).filled(:string, max_size?: 40)
        optional(:days).filled(:integer, included_in?: 1..400)
      end
    end
  end
end
