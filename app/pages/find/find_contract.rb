# frozen_string_literal: true

module Pages
  module Find
    # What is looked for, and for which day; an activity's own options are read by the activity.
    class FindContract < Shared::Contract
      params do
        optional(:finds).maybe(:string, included_in?: Rungs::Activity::FINDS.keys)
        optional(:activity).maybe(:string, included_in?: Rungs::Activity::ALL.ids)
        optional(:seed).maybe(:integer, included_in?: 1..9999)
        optional(:now).maybe(:bool)
        optional(:day).maybe(:date)
      end

      rule(:day).validate(:of_class)
    end
  end
end
