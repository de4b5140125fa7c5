# frozen_string_literal: true

module Pages
  module Keeping
    # Whether new names are put on the list.
    class InContract < Shared::Contract
      params do
        optional(:adding).maybe(:bool)
      end
    end
  end
end
