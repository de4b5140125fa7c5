# frozen_string_literal: true

module Pages
  module Looks
    # A set of quick looks: how far, how long, how arranged.
    class SetContract < Shared::Contract
      params do
        required(:to).filled(:integer, included_in?: 1..20)
        required(:seconds).filled(:integer, included_in?: 1..4)
        optional(:arrangement).maybe(:string, included_in?: Rungs::Activity::QuickLook::ARRANGEMENTS.ids)
      end
    end
  end
end
