# frozen_string_literal: true

module Pages
  module People
    # As what somebody is invited.
    class InviteContract < Shared::Contract
      params { required(:role).filled(:string, included_in?: Records::Membership::AS.keys) }
    end
  end
end
