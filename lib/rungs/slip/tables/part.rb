# frozen_string_literal: true

module Rungs
  class Slip
    module Tables
      # Finding a part, w − p (taking away), p being the part that is given.
      module Part
        # How far beyond ten a bridge still goes.
        REST = ->(problem) { problem.given - (problem.whole - 10) }

        ENTRIES = [
          { id: "start_counted", title: "the starting number counted as a step", prior: 8, rungs: %w[count_on],
            answers: ->(problem) { problem.sought + 1 },
            why: lambda { |problem, _|
              "The #{problem.whole} was counted as the first step back, so the count stopped one too high."
            },
            asks: "Where were you before you started counting back?" },

          { id: "one_over", title: "one too few taken away", prior: 4, also_with_zero: true, rungs: %w[count_all],
            answers: ->(problem) { problem.sought + 1 },
            why: ->(*) { "One too few was taken away, or one of the rest was counted twice." },
            asks: { nil => "Can you count what is left again, touching each one once?",
                    "take_from.change" => "Can you count again the ones that left, touching each one once?",
                    "together" => "Can you count the other kind again, touching each one once?",
                    "compare" => "Can you count again the ones that have no partner, touching each one once?" } },

          { id: "one_short", title: "one too many taken away", prior: 5, also_with_zero: true, rungs: COUNTING,
            answers: ->(problem) { problem.sought - 1 },
            why: ->(*) { "One too many was taken away, or one of the rest was left out." },
            asks: { nil => "How many did you take away? Count them for me.",
                    "take_from.change" => "How many stayed? Count the ones that left for me.",
                    "together" => "How many of the one kind did you put aside? Count them for me.",
                    "compare" => "Line up the two rows. Does each one have its partner? Count those without." } },

          { id: "added_instead", title: "added instead of taken away", prior: 5, also_with_zero: true,
            answers: ->(problem) { problem.whole + problem.given },
            why: lambda { |problem, answer|
              "Put together instead of taken away: #{problem.whole} + #{problem.given} is #{answer}."
            },
            asks: { nil => "Are there more or fewer now than at first?",
                    "together" => "Which number is all of them together?",
                    "compare" => "Who has more? Can the difference be more than that?" } },

          { id: "said_taken", title: "the given number said again", prior: 3,
            answers: lambda(&:given),
            why: ->(_, answer) { "The number that is given was said again: #{answer}." },
            asks: "What does that number tell us? And what are we looking for?" },

          { id: "said_whole", title: "the whole said again", prior: 3,
            answers: lambda(&:whole),
            why: ->(_, answer) { "The whole was said again: #{answer}." },
            asks: { nil => "What happens to them? Show me.",
                    "together" => "That is all of them. How many are of the other kind?",
                    "compare" => "That is the bigger set. What are we asked about?" } },

          { id: "wrong_side_of_ten", title: "the wrong side of ten", prior: 4, rungs: %w[make_ten],
            answers: ->(problem) { 10 + REST.call(problem) if BRIDGING.call(problem) },
            why: lambda { |problem, _|
              "After reaching ten the rest was put on instead of taken off, on the wrong side of ten from " \
                "#{problem.answer}."
            },
            asks: "You are at ten. Do you still have to go back, or up?" },

          { id: "stopped_at_ten", title: "stopped at ten", prior: 3, rungs: %w[make_ten],
            answers: ->(problem) { 10 if BRIDGING.call(problem) },
            why: ->(problem, _) { "Went back to ten and forgot the other #{REST.call(problem)}." },
            asks: "You went back to ten. Have you taken all of it away?" },

          { id: "give_back_forgotten", title: "ten taken, and one not given back", prior: 4, rungs: %w[make_ten],
            answers: ->(problem) { problem.whole - 10 if BRIDGING.call(problem) && problem.given == 9 },
            why: lambda { |problem, _|
              "Ten was taken from #{problem.whole} instead of nine, and the one was not given back."
            },
            asks: "You took ten. How many were to be taken?" },

          { id: "smaller_from_larger", title: "each smaller digit from the larger", prior: 4,
            answers: lambda { |problem|
              next if problem.whole < 10

              digits = problem.whole.digits.zip(problem.given.digits).map { |top, below| (top - below.to_i).abs }
              digits.reverse.join.to_i
            },
            why: ->(*) { "In each place the smaller digit was taken from the larger, whichever stood on top." },
            asks: "Show me the number with tens and ones. Which ones can you take away?" },

          { id: "tens_dropped", title: "tens said as ones", prior: 4,
            answers: ->(problem) { problem.sought / 10 if problem.band == "tens" },
            why: ->(problem, answer) { "The fact in ones was said, #{answer}, not #{problem.sought}." },
            asks: "Are those bundles or sticks? How many sticks is that?" },

          { id: "zero_takes_one", title: "zero takes one", prior: 8, of_zero: true,
            answers: ->(problem) { problem.whole - 1 if problem.given.zero? },
            why: ->(*) { "Taking away zero was taken to make it one fewer." },
            asks: { nil => "How many are left when none is taken? Show me.",
                    "together" => "There are none of one kind. How many are of the other?",
                    "compare" => "One row is empty. How many in the other have no partner?",
                    "take_from" => "How many left when zero left? Act it out." } },

          { id: "zero_takes_all", title: "zero takes all", prior: 8, of_zero: true,
            answers: ->(problem) { 0 if problem.given.zero? && problem.whole >= 1 },
            why: ->(*) { "Zero was taken to make everything zero." },
            asks: { nil => "None was taken. Are they all still here?",
                    "together" => "There are none of one kind. Are the others not all of them?",
                    "compare" => "One row is empty. What about the other?",
                    "take_from" => "Nobody went away. Are they all still here?" } },

          { id: "all_gone_kept", title: "all gone, but the whole said", prior: 8, of_zero: true,
            answers: ->(problem) { problem.whole if problem.sought.zero? && problem.whole >= 1 },
            why: ->(*) { "All of them were taken, and the number was kept." },
            asks: { nil => "All of them are taken. How many can you still see?",
                    "together" => "All of them are of one kind. How many of the other can you see?",
                    "compare" => "That many fewer. How many can there still be?",
                    "take_from" => "All of them went. How many can you still see?" } }
        ].freeze
      end
    end
  end
end
