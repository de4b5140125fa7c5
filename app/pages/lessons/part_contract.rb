# frozen_string_literal: true

module Pages
  module Lessons
    # A part to plan, with what its kind needs.
    class PartContract < Shared::Contract
      params do
        required(:kind).filled(:string, included_in?: Rungs::Planning::Part::ALL.ids)
        optional(:day).maybe(:date)
        optional(:minutes).maybe(:integer, included_in?: 1..60)
        optional(:operation).maybe(:string, included_in?: %w[add subtract])
        optional(:band).maybe(:string, included_in?: Rungs::Problem::Band::ALL.ids)
        optional(:count).maybe(:integer, included_in?: 1..12)
        optional(:words).maybe(:string, max_size?: 200)
      end
    end
  end
end
