# frozen_string_literal: true

module Rungs
  class Slip
    module Tables
      # Two sums, a + b = □ + d: the whole is a + b, the part that is given is d.
      module TwoSided
        ENTRIES = [
          { id: "answer_next", title: "the answer put next to the equals sign", prior: 8,
            answers: lambda(&:whole),
            why: lambda { |_, answer|
              "The equals sign was read as “the answer comes next”: #{answer}, and the rest was not looked at."
            },
            asks: "Read me the whole line. What must be the same on both sides?" },

          { id: "added_all", title: "all numbers added", prior: 5,
            answers: ->(problem) { problem.whole + problem.given },
            why: ->(_, answer) { "All the numbers that can be seen were added: #{answer}." },
            asks: "Put each side on a scale. When does it balance?" },

          { id: "repeated_given", title: "the number beside the box said again", prior: 2,
            answers: lambda(&:given),
            why: ->(_, answer) { "The number beside the box was written again: #{answer}." },
            asks: "With that number in the box, is it the same on both sides?" }
        ].freeze
      end
    end
  end
end
