# frozen_string_literal: true

module Rungs
  class Slip
    module Tables
      # A missing part, p + □ = w.
      module Missing
        ENTRIES = [
          { id: "added_shown", title: "the two numbers shown added", prior: 6,
            answers: ->(problem) { problem.given + problem.whole },
            why: lambda { |problem, answer|
              "Both numbers that can be seen were added: #{problem.given} + #{problem.whole} is #{answer}."
            },
            asks: "Which number is all of them together?" },

          { id: "gave_total", title: "the total given", prior: 4,
            answers: lambda(&:whole),
            why: ->(_, answer) { "The total was given, #{answer}, not the part that is missing." },
            asks: { nil => "That is the whole. Which part of it is missing?",
                    "add_to.change" => "That is how many there are in the end. How many came?",
                    "add_to.start" => "That is how many there are in the end. How many were there at first?",
                    "together" => "That is all of them. How many are of the other kind?" } },

          { id: "repeated_given", title: "the number given said again", prior: 4,
            answers: lambda(&:given),
            why: ->(_, answer) { "The part that is given was said again: #{answer}." },
            asks: { nil => "We have that part already. How many more are needed?",
                    "add_to.start" => "That many came. How many were there before?",
                    "together" => "We know that kind already. How many are of the other kind?" } },

          { id: "start_counted", title: "the starting number counted as a step", prior: 6, rungs: %w[count_on],
            answers: ->(problem) { problem.sought + 1 },
            why: ->(problem, _) { "The #{problem.given} was counted as the first of the rest." },
            asks: { nil => "When you said the first number, was that a step already?",
                    "add_to.change" => "When you said the first number, had one come already?" } },

          { id: "one_short", title: "one left out", prior: 4, also_with_zero: true, rungs: COUNTING,
            answers: ->(problem) { problem.sought - 1 },
            why: ->(*) { "One of the missing part was left out of the count." },
            asks: { nil => "Can you count only the missing ones for me?",
                    "add_to.change" => "Can you count only the new ones for me?",
                    "add_to.start" => "Can you count only those that were there at first?",
                    "together" => "Can you count only the other kind for me?" } }
        ].freeze
      end
    end
  end
end
