# frozen_string_literal: true

module Pages
  module Listen
    # Who is asked now.
    class OpenContract < Shared::Contract
      params { required(:child).filled(:integer, included_in?: ID) }
    end
  end
end
