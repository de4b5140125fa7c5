# frozen_string_literal: true

module Pages
  module Week
    # Days that are to be marked as without school.
    class OffContract < Shared::Contract
      params { required(:days).value(:array, min_size?: 1, max_size?: Exchange::DaysOff::MOST).each(:date) }
    end
  end
end
