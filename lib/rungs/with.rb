# frozen_string_literal: true

module Rungs
  # For values that are structs: the same one with some things changed, since none has a setter that is used.
  #
  #   layout.with(marks: [])
  module With
    # @return [Struct]
    def with(**changes) = self.class.new(**members.zip(to_a).to_h, **changes)
  end
end
