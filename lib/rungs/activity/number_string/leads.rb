# frozen_string_literal: true

module Rungs
  module Activity
    class NumberString
      # For each move what leads to it. A new move gets its string by one more entry here. A move that no problem
      # invites before others (five and five, tens from tens, by tens in steps) has none.
      module Leads
        ALL = {
          "on_first" => Lead.new("Who starts from the first number without counting it again?", [6..8],
                                 ->(a) { ["#{a} + 1 = ?", "#{a} + 2 = ?", "#{a} + 3 = ?", "#{a + 6} + 2 = ?"] }),
          "on_larger" => Lead.new("Who turns the problem round and starts from the larger number?", [6..8],
                                  ->(a) { ["#{a} + 2 = ?", "2 + #{a} = ?", "3 + #{a} = ?", "2 + #{a + 5} = ?"] }),
          "back_from" => Lead.new("Who says the whole first and does not count it as a step?", [7..9],
                                  ->(w) { ["#{w} - 1 = ?", "#{w} - 2 = ?", "#{w} - 3 = ?", "#{w + 4} - 2 = ?"] }),
          "back_to" => Lead.new("Who sees that only a few steps lie between the two numbers?", [8..9], lambda { |w|
            ["#{w} - #{w - 1} = ?", "#{w} - #{w - 2} = ?", "#{w} - #{w - 3} = ?", "#{w + 5} - #{w + 3} = ?"]
          }),
          "up_to" => Lead.new("Who counts the steps, and not the numbers said?", [6..8], lambda { |p|
            ["#{p} + ? = #{p + 1}", "#{p} + ? = #{p + 2}", "#{p} + ? = #{p + 3}", "#{p + 5} + ? = #{p + 7}"]
          }),
          "skip" => Lead.new("Who goes in twos?", [6..8], lambda { |half|
            ["2 + 2 = ?", "4 + 2 = ?", "#{half * 2} + 4 = ?", "#{half * 2} + 2 = ?"]
          }),
          "skip_back" => Lead.new("Who goes back in twos?", [8..9], lambda { |half|
            ["8 - 2 = ?", "8 - 4 = ?", "#{half * 2} - 4 = ?", "#{half * 2} - 2 = ?"]
          }),
          "skip_up" => Lead.new("Who goes up in twos, and counts the steps?", [6..8], lambda { |half|
            ["4 + ? = 6", "4 + ? = 8", "#{half * 2} + ? = #{(half * 2) + 4}", "#{half * 2} + ? = #{(half * 2) + 2}"]
          }),
          "double" => Lead.new("Who knows the double, and who uses it to take half away?", [3..5], lambda { |p|
            ["#{p} + #{p} = ?", "#{p + 1} + #{p + 1} = ?", "#{p + 2} + #{p + 2} = ?", "#{(p + 2) * 2} - #{p + 2} = ?",
             "#{p + 4} + #{p + 4} = ?"]
          }),
          "near_double" => Lead.new("Who says “the double, and one more”?", [4..6], lambda { |p|
            ["#{p} + #{p} = ?", "#{p} + #{p + 1} = ?", "#{p + 1} + #{p + 1} = ?", "#{p + 2} + #{p + 1} = ?"]
          }),
          "double_less_one" => Lead.new("Who says “the double, and one less”?", [4..6], lambda { |p|
            ["#{p + 1} + #{p + 1} = ?", "#{p + 1} + #{p} = ?", "#{p + 2} + #{p + 2} = ?", "#{p + 1} + #{p + 2} = ?"]
          }),
          "share_even" => Lead.new("Who gives one across to make a double?", [4..6, 11..13], lambda { |p, q|
            ["#{p} + #{p} = ?", "#{p - 1} + #{p + 1} = ?", "#{q + 1} + #{q + 1} = ?", "#{q} + #{q + 2} = ?"]
          }),
          "double_first" => Lead.new("Who looks for two that are the same?", [3..4, 6..7, 2..3], lambda { |p, q, rest|
            ["#{p} + #{p} = ?", "#{p} + #{p} + #{rest} = ?", "#{q} + #{q} = ?", "#{q} + #{rest} + #{q} = ?"]
          }),
          "five_some" => Lead.new("Who sees a five and some?", [2..3], lambda { |a|
            ["5 + 1 = ?", "5 + #{a} = ?", "#{a} + 5 = ?", "#{a + 5} - 5 = ?", "5 + #{a + 1} = ?"]
          }),
          "ten_and" => Lead.new("Who says ten and some without counting?", [3..6], lambda { |a|
            ["10 + #{a} = ?", "#{a} + 10 = ?", "1#{a} - 10 = ?", "10 + #{a + 2} = ?"]
          }),
          "place_value" => Lead.new("Who puts tens with tens and ones with ones?", [2..3], lambda { |a|
            ["10 + #{a} = ?", "20 + #{a} = ?", "20 + 1#{a} = ?", "2#{a} + 4 = ?", "3#{a + 1} + 5 = ?"]
          }),
          "tens_then_ones" => Lead.new("Who puts the tens on first, and then the ones?", [4..5, 2..3], lambda { |a, b|
            ["3#{a} + 20 = ?", "5#{a} + #{b} = ?", "3#{a} + 2#{b} = ?", "4#{a - 1} + 3#{b} = ?"]
          }),
          "family" => Lead.new("Who uses the addition to take away?", [3..4], lambda { |q|
            ["6 + #{q} = ?", "#{q + 6} - 6 = ?", "#{q + 6} - #{q} = ?", "3 + #{10 - q} = ?",
             "#{13 - q} - #{10 - q} = ?"]
          }),
          "tens_fact" => Lead.new("Who says the ones fact, and then says it in tens?", [4..5, 2..3], lambda { |p, q|
            ["#{p} + #{q} = ?", "#{p}0 + #{q}0 = ?", "#{p + q} - #{q} = ?", "#{p + q}0 - #{q}0 = ?",
             "#{p + 1}0 + #{q}0 = ?"]
          }),
          "same_across" => Lead.new("Who finds the number without adding either side?", [6..7, 3..4], lambda { |a, b|
            ["#{a} + #{b} = ? + #{b}", "#{a} + #{b} = ? + #{b + 1}", "#{a} + #{b} = ? + #{b - 1}",
             "#{a + 2} + #{b} = ? + #{b + 2}"]
          }),
          "up_through_ten" => Lead.new("Who breaks one to fill ten?", [8..9, 3..5, 7..8, 4..5], lambda { |q, b, *two|
            fill = 10 - q
            ["#{q} + #{fill} = ?", "#{q} + #{fill} + #{b} = ?", "#{q} + #{b + fill} = ?", "#{two.join(' + ')} = ?"]
          }),
          "give_to_ten" => Lead.new("Who changes the problem into ten and some?", [3..5], lambda { |b|
            ["10 + #{b} = ?", "9 + #{b + 1} = ?", "10 + #{b + 1} = ?", "9 + #{b + 2} = ?", "8 + #{b + 1} = ?"]
          }),
          "nine_as_ten" => Lead.new("Who takes the nine as ten, and puts it right at the end?", [3..5], lambda { |a|
            ["10 + #{a} = ?", "9 + #{a} = ?", "10 + #{a + 2} = ?", "9 + #{a + 2} = ?", "9 + #{a + 3} = ?"]
          }),
          "back_through_ten" => Lead.new("Who goes back to ten and knows how much is left to go?", [3..5], lambda { |o|
            ["1#{o} - #{o} = ?", "10 - 2 = ?", "1#{o} - #{o + 2} = ?", "1#{o + 1} - #{o + 3} = ?"]
          }),
          "ten_minus" => Lead.new("Who takes it all from the ten and puts the ones back?", [3..5], lambda { |o|
            ["10 - 9 = ?", "1#{o} - 9 = ?", "10 - 8 = ?", "1#{o} - 8 = ?", "1#{o + 1} - 8 = ?"]
          }),
          "up_through_ten_to" => Lead.new("Who stops at ten on the way up and adds both jumps?", [7..8], lambda { |p|
            ["#{p} + ? = 10", "10 + ? = 13", "#{p} + ? = 13", "8 + ? = 1#{p - 3}"]
          }),
          "ten_partner" => Lead.new("Who sees the empty places of the ten?", [6..8], lambda { |p|
            ["5 + 5 = ?", "#{p} + #{10 - p} = ?", "#{p} + ? = 10", "10 - #{p} = ?", "10 - #{11 - p} = ?"]
          }),
          "next_ten" => Lead.new("Who goes to the next ten first?", [2..3, 7..8, 3..5], lambda { |t, o, b|
            ["#{t}#{o} + #{10 - o} = ?", "#{t + 1}0 + #{b} = ?", "#{t}#{o} + #{b + 10 - o} = ?",
             "#{t + 2}8 + #{b + 1} = ?"]
          }),
          "back_to_ten" => Lead.new("Who goes back to the ten below first?", [3..4, 2..3], lambda { |t, o|
            ["#{t}#{o} - #{o} = ?", "#{t}0 - 3 = ?", "#{t}#{o} - #{o + 3} = ?", "#{t + 1}#{o + 1} - #{o + 5} = ?"]
          }),
          "ten_pair" => Lead.new("Who looks for two that make ten?", [6..8, 3..5, 3..4], lambda { |a, b, c|
            ["#{a} + #{10 - a} = ?", "#{a} + #{10 - a} + #{b} = ?", "#{a} + #{b} + #{10 - a} = ?",
             "#{a - 1} + #{c} + #{11 - a} = ?"]
          })
        }.freeze
      end
    end
  end
end
