# frozen_string_literal: true

require "tzinfo"

module Pages
  module Account
    # A class: what it is called, where, and in which time zone its days begin.
    class ClassContract < Shared::Contract
      params do
        required(:name).filled(:string, max_size?: NAME_LENGTH)
        optional(:school).value(:string, max_size?: 80)
        optional(:year).value(:string, included_in?: Rungs::Planning::Setting::ALL.fetch("year").choices.keys)
        optional(:time_zone).value(:string, included_in?: TZInfo::Timezone.all_identifiers)
      end
    end
  end
end
