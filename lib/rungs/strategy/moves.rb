# frozen_string_literal: true

module Rungs
  module Strategy
    # The entries of the moves, rung by rung. Letters as in field guide 4: to find a whole, a + b in the order of
    # the problem, p ≤ q the same in order of size; to find a part, w − p = q with q sought.
    module Moves
      Rungs.shelve self, :Say
      %i[COUNT_ALL COUNT_ON PART_WHOLE MAKE_TEN KNOWN_FACT].each do |shelf|
        autoload shelf, File.join(LIBRARY, "rungs/strategy/moves/#{shelf.downcase}.rb")
      end
    end
  end
end
