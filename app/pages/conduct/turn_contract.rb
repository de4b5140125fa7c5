# frozen_string_literal: true

module Pages
  module Conduct
    # The same with other numbers.
    class TurnContract < Shared::Contract
      params { required(:to).filled(:string, included_in?: %w[easier harder]) }
    end
  end
end
