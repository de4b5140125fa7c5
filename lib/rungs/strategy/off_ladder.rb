# frozen_string_literal: true

module Rungs
  module Strategy
    # What is heard but is no rung, and never counted as one (guide 4).
    OffLadder = Struct.new(:id, :title, keyword_init: true)

    OffLadder::ALL = Catalogue.new("off-ladder code", [
      OffLadder.new(id: "guess", title: "Guess"),
      OffLadder.new(id: "no_answer", title: "No answer"),
      OffLadder.new(id: "unseen", title: "Answered, nobody saw how")
    ].map(&:freeze))
  end
end
