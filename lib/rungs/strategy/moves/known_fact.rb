# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      # Rung 5: it is known.
      module KnownFact
        ENTRIES = [
          { id: "recall", title: "knows it", for_a: :either, draws: :parts, shapes: %i[two three],
            applies: ->(_) { true },
            recalls: %w[fact],
            goes: lambda { |problem|
              { landings: [problem.answer], equations: [Say.written(problem)],
                says: "#{Say.open(problem.answer)}. I just know it." }
            } }
        ].freeze
      end
    end
  end
end
