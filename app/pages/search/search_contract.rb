# frozen_string_literal: true

module Pages
  module Search
    # What was typed.
    class SearchContract < Shared::Contract
      params { optional(:q).maybe(:string, max_size?: 60) }
    end
  end
end
