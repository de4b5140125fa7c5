# frozen_string_literal: true

module Pages
  module Week
    # Days without school as they are typed: the first, and the last where there are several.
    class OffTypedContract < Shared::Contract
      params do
        required(:first).filled(:date)
        optional(:last).maybe(:date)
      end
    end
  end
end
