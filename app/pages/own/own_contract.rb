# frozen_string_literal: true

module Pages
  module Own
    # What a teacher writes: its texts are read by the kind that it is of; here is only what is to be done with it.
    class OwnContract < Shared::Contract
      params do
        optional(:do).filled(:string, included_in?: %w[look keep today shelf take now out])
        optional(:kind).filled(:string, included_in?: Rungs::Own::ALL.ids)
        optional(:day).maybe(:date)
      end

      rule(:day).validate(:of_class)
    end
  end
end
