# frozen_string_literal: true

module Pages
  module Ear
    # As what a clip was heard.
    class HeardContract < Shared::Contract
      params { required(:code).filled(:string, included_in?: Rungs::Clip::CODES) }
    end
  end
end
