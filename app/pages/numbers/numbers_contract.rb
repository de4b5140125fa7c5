# frozen_string_literal: true

module Pages
  module Numbers
    # What the map shows: operation, size, children laid over it, and the facts chosen so far.
    class NumbersContract < Shared::Contract
      params do
        optional(:operation).filled(:string, included_in?: Rungs::Problem::OPERATIONS)
        optional(:size).filled(:integer, included_in?: [10, 20])
        optional(:children).value(:array, max_size?: 60).each(:integer, included_in?: ID)
        optional(:facts).value(:array, max_size?: 24).each(:string, format?: /\A\d{1,2}\.\d{1,2}\z/)
        optional(:rung).filled(:integer, included_in?: 2..4)
      end
    end
  end
end
