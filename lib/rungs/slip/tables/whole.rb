# frozen_string_literal: true

module Rungs
  class Slip
    module Tables
      # Finding a whole, a + b.
      module Whole
        # Something for each that is put together only where there are two.
        TWO = ->(problem) { problem.shape == :two }
        NEW_TEN = lambda { |problem|
          TWO.call(problem) && problem.larger >= 10 && problem.parts.sum do |part|
            part % 10
          end >= 10
        }
        TENS = ->(problem) { problem.parts.sum { |part| part / 10 } }

        ENTRIES = [
          { id: "start_counted", title: "the starting number counted as a step", prior: 8, rungs: %w[count_on],
            answers: ->(problem) { problem.whole - 1 },
            why: lambda { |problem, answer|
              "The #{problem.larger} was counted as the first step, so the count ended one short, at #{answer}."
            },
            asks: "Where were you before you started counting?" },

          { id: "one_short", title: "one left out", prior: 5, also_with_zero: true, rungs: %w[count_all],
            answers: ->(problem) { problem.whole - 1 },
            why: ->(*) { "One thing was left out when everything was counted." },
            asks: "Can you count them again and move each one as you count it?" },

          { id: "one_over", title: "one counted twice", prior: 5, also_with_zero: true, rungs: COUNTING,
            answers: ->(problem) { problem.whole + 1 },
            why: ->(*) { "One thing was counted twice, or one number word too many was said." },
            asks: "How do you know when to stop counting?" },

          { id: "swapped_operation", title: "taken away, not put together", prior: 4,
            answers: ->(problem) { problem.larger - problem.smaller if TWO.call(problem) },
            why: lambda { |problem, answer|
              "Taken away instead of put together: #{problem.larger} − #{problem.smaller} is #{answer}."
            },
            asks: { nil => "Do we put together or take away here? Show me with counters.",
                    "add_to" => "Did some come or did some go? Show me with counters.",
                    "take_from" => "Were there more at first, or fewer? Act it out.",
                    "together" => "Show me both kinds with counters. Which number tells how many there are altogether?",
                    "compare" => "Who has more? Show me both rows with counters." } },

          { id: "said_addend", title: "one of the numbers said again", prior: 4,
            answers: lambda(&:addends),
            why: ->(_, answer) { "One of the numbers of the problem was said again: #{answer}." },
            asks: "What does that number tell us? And what are we looking for?" },

          { id: "next_number", title: "the next number said", prior: 2,
            answers: ->(problem) { problem.addends[0] + 1 if TWO.call(problem) && problem.addends[1] > 1 },
            why: ->(problem, _) { "The number after #{problem.addends[0]} was said, as if there were only one more." },
            asks: { nil => "What does the other number tell us? Show me each one.",
                    "add_to" => "How many more came? Show me each one.",
                    "compare" => "How many more are there in the bigger set? Show me each one." } },

          { id: "doubled", title: "one number doubled", prior: 3, rungs: %w[part_whole known_fact],
            answers: lambda { |problem|
              next if !TWO.call(problem) || problem.first == problem.second

              problem.addends.map { |part| part * 2 if part.between?(2, 10) }
            },
            why: ->(_, answer) { "A double was used and not mended: #{answer / 2} + #{answer / 2} is #{answer}." },
            asks: "You used a double. How is this one different from it?" },

          { id: "stopped_at_ten", title: "stopped at ten", prior: 4, rungs: %w[make_ten],
            answers: ->(problem) { 10 if BRIDGING.call(problem) },
            why: ->(problem, _) { "The ten was made, and the #{problem.whole - 10} beyond it was forgotten." },
            asks: "You made ten. Is there anything left to put on?" },

          { id: "kept_whole_addend", title: "the whole number put on after ten", prior: 5, rungs: %w[make_ten],
            answers: ->(problem) { 10 + problem.smaller if BRIDGING.call(problem) },
            why: lambda { |problem, _|
              "The ten was made, and then all of the #{problem.smaller} was put on again, with the part already used."
            },
            asks: "How much of the smaller number did you use to get to ten?" },

          { id: "stuck_together", title: "two digits put side by side", prior: 2,
            answers: ->(problem) { problem.addends.join.to_i if TWO.call(problem) && problem.larger <= 9 },
            why: ->(problem, _) { "The digits #{problem.addends.join(' and ')} were written side by side." },
            asks: "Is that number bigger or smaller than you expected? Show me that many." },

          { id: "teen_turned", title: "a teen number turned round", prior: 3,
            answers: ->(problem) { problem.whole.digits.join.to_i if problem.whole.between?(11, 19) },
            why: ->(problem, answer) { "#{problem.whole} was said or written the wrong way round, as #{answer}." },
            asks: "Show me your number with a ten and some ones. Which digit is the ten?" },

          { id: "ten_written_out", title: "the ten written out before the ones", prior: 4,
            answers: ->(problem) { (problem.whole - 10) + 100 if problem.band == "teens" },
            why: lambda { |problem, answer|
              "#{problem.whole} was written as it sounds, a 10 and then a #{problem.whole - 10}: #{answer}."
            },
            asks: "Lay the ones card over the zero of the ten. Which number is it now?" },

          { id: "zero_adds_one", title: "zero adds one", prior: 8, of_zero: true,
            answers: ->(problem) { problem.larger + 1 if TWO.call(problem) },
            why: ->(*) { "Adding zero was taken to make it one more." },
            asks: { nil => "Put out zero more. How many are there?",
                    "add_to" => "How many came when zero came? Act it out." } },

          { id: "zero_appended", title: "a zero put behind", prior: 8, of_zero: true,
            answers: ->(problem) { problem.larger * 10 if TWO.call(problem) && problem.larger >= 1 },
            why: ->(_, answer) { "The zero was written behind the number: #{answer}." },
            asks: "What does the zero in the problem tell us?" },

          { id: "zero_wipes", title: "zero makes nothing", prior: 8, of_zero: true,
            answers: ->(problem) { 0 if TWO.call(problem) && problem.larger >= 1 },
            why: ->(*) { "Zero was taken to make everything zero." },
            asks: { nil => "Nothing was put to them. Are they all still here?",
                    "add_to" => "We had some, and none came. Are they all still here?" } },

          { id: "no_carry", title: "the new ten left out", prior: 4, rungs: %w[part_whole],
            answers: ->(problem) { problem.whole - 10 if NEW_TEN.call(problem) },
            why: ->(*) { "The ones made a ten more, and that ten was dropped." },
            asks: "How many do the ones make together? Where did that ten go?" },

          { id: "side_by_side", title: "sums of tens and ones put side by side", prior: 3, rungs: %w[part_whole],
            answers: lambda { |problem|
              "#{TENS.call(problem)}#{problem.whole - (TENS.call(problem) * 10)}".to_i if NEW_TEN.call(problem)
            },
            why: lambda { |problem, answer|
              "The tens make #{TENS.call(problem)} and the ones #{problem.whole - (TENS.call(problem) * 10)}, " \
                "and they were written side by side: #{answer}."
            },
            asks: "Show the ones with sticks. Can you make another bundle of ten?" },

          { id: "ones_to_tens", title: "ones put with the tens", prior: 3, rungs: %w[part_whole],
            answers: lambda { |problem|
              if TWO.call(problem) && problem.larger >= 10 && problem.smaller.between?(1, 9)
                problem.larger + (problem.smaller * 10)
              end
            },
            why: ->(problem, _) { "The #{problem.smaller} ones were put to the tens of #{problem.larger}." },
            asks: "Is that number tens or ones? Show it with bundles and sticks." },

          { id: "tens_dropped", title: "tens said as ones", prior: 4,
            answers: ->(problem) { problem.whole / 10 if problem.band == "tens" },
            why: ->(problem, answer) { "The fact in ones was said, #{answer}, not #{problem.whole}." },
            asks: "Are those bundles or sticks? How many sticks is that?" },

          { id: "addend_left_out", title: "one of three numbers left out", prior: 5,
            answers: ->(problem) { problem.parts.map { |part| problem.whole - part } if problem.shape == :three },
            why: lambda { |problem, answer|
              "Two of the three were put together, and the #{problem.whole - answer} was left out."
            },
            asks: "Point to each number you used. Is there one you have not used yet?" }
        ].freeze
      end
    end
  end
end
