# frozen_string_literal: true

module Rungs
  module Strategy
    module Moves
      KNOWN_FACT = [
        { id: "recall", title: "knows it", for_a: :either, draws: :parts,
          applies: ->(_) { true }, recalls: 1,
          goes: lambda { |problem|
            { landings: [problem.answer], equations: [problem.solved.to_s], says: "#{Say.open(problem.answer)}. I just know it." }
          } }
      ].each { |entry| entry[:rung] = "known_fact" }.freeze
    end
  end
end
