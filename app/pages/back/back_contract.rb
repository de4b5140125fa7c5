# frozen_string_literal: true

module Pages
  module Back
    # A stretch of days to look back on.
    class BackContract < Shared::Contract
      params do
        optional(:view).filled(:string, included_in?: Page::VIEWS)
        optional(:day).filled(:date)
      end

      rule(:day).validate(:of_class)
    end
  end
end
