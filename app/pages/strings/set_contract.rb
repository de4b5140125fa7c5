# frozen_string_literal: true

module Pages
  module Strings
    # Which move a string leads to.
    class SetContract < Shared::Contract
      params { required(:move).filled(:string, included_in?: Rungs::Activity::NumberString.moves) }
    end
  end
end
