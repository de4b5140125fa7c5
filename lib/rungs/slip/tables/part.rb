# frozen_string_literal: true

module Rungs
  class Slip
    module Tables
      # Finding a part, w − p (taking away), p being the part that is given.
      PART = [
        { id: "start_counted", prior: 8, rungs: %w[count_on],
          answers: ->(problem) { problem.sought + 1 if COUNTED.call(problem) },
          why: ->(problem, _) { "The #{problem.whole} was counted as the first step back, so the count stopped one too high." },
          asks: "Where were you before you started counting back?" },
        { id: "one_over", prior: 4, rungs: %w[count_all],
          answers: ->(problem) { problem.sought + 1 },
          why: ->(*) { "One too few was taken away, or one of the rest was counted twice." },
          asks: "Can you count what is left again, touching each one once?" },
        { id: "one_short", prior: 5, rungs: COUNTING,
          answers: ->(problem) { problem.sought - 1 },
          why: ->(*) { "One too many was taken away, or one of the rest was left out." },
          asks: "How many did you take away? Count them for me." },
        { id: "added_instead", prior: 5,
          answers: ->(problem) { problem.whole + problem.given },
          why: ->(problem, answer) { "Put together instead of taken away: #{problem.whole} + #{problem.given} is #{answer}." },
          asks: "Are there more or fewer now than at first?" },
        { id: "said_taken", prior: 3,
          answers: lambda(&:given),
          why: ->(_, answer) { "The number that is given was said again: #{answer}." },
          asks: "What does that number tell us? And what are we looking for?" },
        { id: "said_whole", prior: 3,
          answers: lambda(&:whole),
          why: ->(_, answer) { "The whole was said again, as if nothing had left: #{answer}." },
          asks: "What happened to them? Show me." },
        { id: "wrong_side_of_ten", prior: 4, rungs: %w[make_ten],
          answers: ->(problem) { 10 + (problem.given - (problem.whole - 10)) if BRIDGING.call(problem) },
          why: ->(problem, _) { "After reaching ten the rest was put on instead of taken off, on the wrong side of ten from #{problem.answer}." },
          asks: "You are at ten. Do you still have to go back, or up?" },
        { id: "stopped_at_ten", prior: 3, rungs: %w[make_ten],
          answers: ->(problem) { 10 if BRIDGING.call(problem) },
          why: ->(problem, _) { "Went back to ten and forgot the other #{problem.given - (problem.whole - 10)}." },
          asks: "You went back to ten. Have you taken all of it away?" },
        { id: "smaller_from_larger", prior: 4,
          answers: lambda { |problem|
  if problem.whole >= 10
    problem.whole.digits.zip(problem.given.digits).map do |top, below|
    (top - below.to_i).abs
  end.each_with_index.sum { |digit, place| digit * (10**place) }
  end
},
          why: ->(*) { "In each place the smaller digit was taken from the larger, whichever stood on top." },
          asks: "Show me the number with tens and ones. Which ones can you take away?" },
        { id: "zero_takes_one", prior: 3,
          answers: ->(problem) { problem.whole - 1 if problem.given.zero? },
          why: ->(*) { "Taking away zero was taken to make it one fewer." },
          asks: "How many left when zero left? Act it out." },
        { id: "zero_takes_all", prior: 3,
          answers: ->(problem) { 0 if problem.given.zero? && problem.whole >= 1 },
          why: ->(*) { "Zero was taken to make everything zero." },
          asks: "None left. Are they still here?" },
        { id: "all_gone_kept", prior: 4,
          answers: ->(problem) { problem.whole if problem.sought.zero? && problem.whole >= 1 },
          why: ->(*) { "All of them left, and the number was kept." },
          asks: "All of them went. How many can you still see?" }
      ].freeze
    end
  end
end
