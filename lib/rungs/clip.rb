# frozen_string_literal: true

module Rungs
  # Invented scenes for the ear, and agreement of two people who heard the same.
  module Clip
    Rungs.shelve self

    # What a clip may be: a rung, or off the ladder.
    CODES = [*Strategy::Rung::ALL.ids, *Strategy::OffLadder::ALL.ids].freeze
  end
end
