# frozen_string_literal: true

module Pages
  module Lessons
    # A change to a planned part.
    class PlaceContract < Shared::Contract
      params do
        required(:do).filled(:string, included_in?: %w[earlier later remove minutes])
        optional(:minutes).maybe(:integer, included_in?: 1..60)
      end
    end
  end
end
