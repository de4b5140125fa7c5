# frozen_string_literal: true

module Pages
  module Keeping
    # The day on which a class ends.
    class EndContract < Shared::Contract
      params { required(:ends_on).filled(:date) }
    end
  end
end
