# frozen_string_literal: true

module Pages
  module Keeping
    # What was chosen of a file that is looked at: which column is what, whether new names are put on the list, whose
    # each child is, and from which week on.
    class InContract < Shared::Contract
      params do
        optional(:adding).maybe(:bool)
        optional(:columns).hash
        optional(:whose).hash
        optional(:from).maybe(:string, max_size?: 10)
      end
    end
  end
end
