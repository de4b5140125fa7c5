# frozen_string_literal: true

module Exchange
  module Archive
    # What a field may be.
    module Limits
      # As forms have it: letters of a name, items of a part, the largest number of a problem; and what is more than
      # enough of anything else.
      NAME = 40
      ITEMS = 300
      LARGEST = 1000
      SOME = 1_000_000

      OPERATIONS = Rungs::Problem::OPERATIONS
      BANDS = Rungs::Problem::Band::ALL.ids.freeze
      CODES = [*Rungs::Strategy::Rung::ALL.ids, *Rungs::Strategy::OffLadder::ALL.ids].freeze
      SLIPS = Rungs::Slip::ALL.map(&:id).uniq.freeze
    end
  end
end
