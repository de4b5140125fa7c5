# frozen_string_literal: true

module Pages
  module CheckIn
    # What a check-in is about; the band may be left open.
    class StartContract < Shared::Contract
      params do
        required(:operation).filled(:string, included_in?: Routes::OPERATIONS)
        optional(:band).maybe(:string, included_in?: Rungs::Progress::CheckIn::BANDS)
      end
    end
  end
end
