# frozen_string_literal: true

module Rungs
  class Slip
    module Tables
      # Teens into ten and some: 17 said to be 1 and 7, so that the ten is given as 1.
      module Teens
        ENTRIES = [
          { id: "digits_as_ones", title: "the digits taken as ones", prior: 5,
            answers: ->(problem) { 1 if problem.sought == 10 || problem.unknown == :both },
            why: ->(problem, _) { "The 1 of #{problem.whole} was read as one, not as ten." },
            asks: "Show me the 1 of your number with sticks. How many sticks is it?" }
        ].freeze
      end
    end
  end
end
