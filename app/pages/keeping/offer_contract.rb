# frozen_string_literal: true

module Pages
  module Keeping
    # Who changes class.
    class OfferContract < Shared::Contract
      params { required(:child).filled(:integer, included_in?: ID) }
    end
  end
end
