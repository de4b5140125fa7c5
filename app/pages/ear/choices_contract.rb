# frozen_string_literal: true

module Pages
  module Ear
    # What one lets others see, and how clips are played.
    class ChoicesContract < Shared::Contract
      params do
        optional(:shared).maybe(:bool)
        optional(:aloud).maybe(:bool)
        optional(:counts).maybe(:bool)
      end
    end
  end
end
