# frozen_string_literal: true

module Rungs
  # Where every dot, bead, cell and jump goes: pictures laid out as numbers, with no drawing (field guide 7).
  module Picture
    Rungs.shelve self, :Frame, :Layout, :Mark, :Objects
  end
end
