# frozen_string_literal: true

module Rungs
  class Slip
    module Tables
      # A missing part, p + □ = w.
      MISSING = [
        { id: "added_shown", prior: 6,
          answers: ->(problem) { problem.given + problem.whole },
          why: ->(problem, answer) { "Both numbers that can be seen were added: #{problem.given} + #{problem.whole} is #{answer}." },
          asks: "Which number is all of them together?" },
        { id: "gave_total", prior: 4,
          answers: lambda(&:whole),
          why: ->(_, answer) { "The total was given, #{answer}, not the part that is missing." },
          asks: "That is how many there are in the end. How many came?" },
        { id: "repeated_given", prior: 4,
          answers: lambda(&:given),
          why: ->(_, answer) { "The part that is given was said again: #{answer}." },
          asks: "We have that part already. How many more are needed?" },
        { id: "start_counted", prior: 6, rungs: %w[count_on],
          answers: ->(problem) { problem.sought + 1 if COUNTED.call(problem) },
          why: ->(problem, _) { "The #{problem.given} was counted as the first of the new ones." },
          asks: "When you said the first number, had one come already?" },
        { id: "one_short", prior: 4, rungs: COUNTING,
          answers: ->(problem) { problem.sought - 1 },
          why: ->(*) { "One of those that came was left out of the count." },
          asks: "Can you count only the new ones for me?" }
      ].freeze
    end
  end
end
