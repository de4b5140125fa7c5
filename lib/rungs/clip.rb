# frozen_string_literal: true

module Rungs
  # Invented scenes for the ear, and agreement of two people who heard the same.
  module Clip
    Rungs.shelve self
  end
end
