# frozen_string_literal: true

module Rungs
  class Slip
    module Tables
      # n where one of two parts is zero.
      WITH_ZERO = ->(problem) { problem.parts.size == 2 && problem.smaller.zero? ? problem.larger : nil }
      BRIDGING = ->(problem) { problem.band == "bridge" && problem.parts.size == 2 }

      # Finding a whole, a + b.
      WHOLE = [
        { id: "start_counted", prior: 8, rungs: %w[count_on],
          answers: ->(problem) { problem.whole - 1 if COUNTED.call(problem) },
          why: ->(problem, answer) { "The #{problem.larger} was counted as the first step, so the count ended one short, at #{answer}." },
          asks: "Where were you before you started counting?" },
        { id: "one_short", prior: 5, rungs: %w[count_all],
          answers: ->(problem) { problem.whole - 1 },
          why: ->(*) { "One thing was left out when everything was counted." },
          asks: "Can you count them again and move each one as you count it?" },
        { id: "one_over", prior: 5, rungs: COUNTING,
          answers: ->(problem) { problem.whole + 1 },
          why: ->(*) { "One thing was counted twice, or one number word too many was said." },
          asks: "How do you know when to stop counting?" },
        { id: "swapped_operation", prior: 4,
          answers: ->(problem) { problem.larger - problem.smaller if problem.parts.size == 2 },
          why: ->(problem, answer) { "Taken away instead of put together: #{problem.larger} − #{problem.smaller} is #{answer}." },
          asks: "Did some come or did some go? Show me with counters." },
        { id: "said_addend", prior: 4,
          answers: lambda(&:parts),
          why: ->(_, answer) { "One of the numbers of the problem was said again: #{answer}." },
          asks: "What does that number tell us? And what are we looking for?" },
        { id: "next_number", prior: 2,
          answers: ->(problem) { problem.first + 1 if problem.parts.size == 2 && problem.second > 1 },
          why: ->(problem, _) { "The number after #{problem.first} was said, as if only one more had come." },
          asks: "How many more came? Show me each one." },
        { id: "doubled", prior: 3, rungs: %w[part_whole known_fact],
          answers: ->(problem) { problem.parts.map { |part| part * 2 } if problem.parts.size == 2 && problem.first != problem.second },
          why: ->(_, answer) { "A double was used and not mended: #{answer / 2} + #{answer / 2} is #{answer}." },
          asks: "You used a double. How is this one different from it?" },
        { id: "stopped_at_ten", prior: 4, rungs: %w[make_ten],
          answers: ->(problem) { 10 if BRIDGING.call(problem) },
          why: ->(problem, _) { "The ten was made, and the #{problem.whole - 10} beyond it was forgotten." },
          asks: "You made ten. Is there anything left to put on?" },
        { id: "kept_whole_addend", prior: 5, rungs: %w[make_ten],
          answers: ->(problem) { 10 + problem.smaller if BRIDGING.call(problem) },
          why: ->(problem, _) { "The ten was made, and then all of the #{problem.smaller} was put on again, with the part already used." },
          asks: "How much of the smaller number did you use to get to ten?" },
        { id: "stuck_together", prior: 2,
          answers: ->(problem) { (problem.first * 10) + problem.second if problem.parts.size == 2 && problem.larger <= 9 },
          why: ->(problem, _) { "The digits #{problem.first} and #{problem.second} were written side by side." },
          asks: "Is that number bigger or smaller than you expected? Show me that many." },
        { id: "teen_turned", prior: 3,
          answers: ->(problem) { ((problem.whole - 10) * 10) + 1 if problem.whole.between?(11, 19) },
          why: ->(problem, answer) { "#{problem.whole} was said or written the wrong way round, as #{answer}." },
          asks: "Show me your number with a ten and some ones. Which digit is the ten?" },
        { id: "zero_adds_one", prior: 4,
          answers: ->(problem) { (number = WITH_ZERO.call(problem)) && (number + 1) },
          why: ->(*) { "Adding zero was taken to make it one more." },
          asks: "How many came when zero came? Act it out." },
        { id: "zero_appended", prior: 2,
          answers: ->(problem) { (number = WITH_ZERO.call(problem)) && (number * 10 if number >= 1) },
          why: ->(_, answer) { "The zero was written behind the number: #{answer}." },
          asks: "What does the zero in the problem tell us?" },
        { id: "zero_wipes", prior: 2,
          answers: ->(problem) { (number = WITH_ZERO.call(problem)) && (0 if number >= 1) },
          why: ->(*) { "Zero was taken to make everything zero." },
          asks: "We had some, and none came. Are they still here?" },
        { id: "no_carry", prior: 4, rungs: %w[part_whole],
          answers: ->(problem) { problem.whole - 10 if problem.parts.size == 2 && problem.larger >= 10 && problem.parts.sum { |part| part % 10 } >= 10 },
          why: ->(*) { "The ones made a ten more, and that ten was dropped." },
          asks: "How many do the ones make together? Where did that ten go?" },
        { id: "ones_to_tens", prior: 3, rungs: %w[part_whole],
          answers: ->(problem) { problem.larger + (problem.smaller * 10) if problem.parts.size == 2 && problem.larger >= 10 && problem.smaller.between?(1, 9) },
          why: ->(problem, _) { "The #{problem.smaller} ones were put to the tens of #{problem.larger}." },
          asks: "Is that number tens or ones? Show it with bundles and sticks." }
      ].freeze
    end
  end
end
