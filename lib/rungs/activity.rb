# frozen_string_literal: true

module Rungs
  # Things to do with a class that make their own items from a range and a random source (guide 8).
  module Activity
    Rungs.shelve self
  end
end
