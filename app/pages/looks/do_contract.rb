# frozen_string_literal: true

module Pages
  module Looks
    # What may be asked of the look on the board.
    class DoContract < Shared::Contract
      params { required(:do).filled(:string, included_in?: Board::LookState::COMMANDS + %w[next]) }
    end
  end
end
