# frozen_string_literal: true

module Rungs
  module Activity
    # Four to six bare problems, one at a time, that lead to one move: each helps with the next, and the last stands without
    # the help (field guide 8).
    #
    #   NumberString.for("up_through_ten", random: Random.new(3)).problems.map(&:to_s)
    #   # => ["8 + 2 = □", "8 + 2 + 4 = □", "8 + 6 = □", "9 + 7 = □"]
    class NumberString
      attr_reader :move, :problems, :listen_for

      # For each move of rungs 2 to 4: the equations that lead to it, from small choices of the random source, and what to
      # listen for. A new move gets its string by one more line here.
      LEADS = {
        "on_first" => [lambda { |r|
  a = r.rand(6..8)
  ["#{a} + 1 = ?", "#{a} + 2 = ?", "#{a} + 3 = ?", "#{a + 4} + 3 = ?"]
},
                       "Who starts from the first number without counting it again?"],
        "on_larger" => [lambda { |r|
  a = r.rand(7..8)
  ["#{a} + 2 = ?", "2 + #{a} = ?", "3 + #{a} = ?", "2 + #{a + 2} = ?"]
},
                        "Who turns the problem round and starts from the larger number?"],
        "back_from" => [lambda { |r|
  w = r.rand(7..9)
  ["#{w} - 1 = ?", "#{w} - 2 = ?", "#{w} - 3 = ?", "#{w + 3} - 2 = ?"]
},
                        "Who says the whole first and does not count it as a step?"],
        "back_to" => [lambda { |r|
  w = r.rand(7..9)
  ["#{w} - #{w - 1} = ?", "#{w} - #{w - 2} = ?", "#{w} - #{w - 3} = ?", "#{w + 3} - #{w + 1} = ?"]
},
                      "Who sees that only a few steps lie between the two numbers?"],
        "up_to" => [lambda { |r|
  p = r.rand(6..8)
  ["#{p} + ? = #{p + 1}", "#{p} + ? = #{p + 2}", "#{p} + ? = #{p + 3}", "#{p + 4} + ? = #{p + 7}"]
},
                    "Who counts the steps, and not the numbers said?"],
        "skip" => [lambda { |r|
  a = r.rand(3..5) * 10
  ["#{a} + 20 = ?", "#{a} + 30 = ?", "#{a + 10} + 30 = ?", "#{a - 10} + 40 = ?"]
},
                   "Who goes in tens, and keeps track of how many?"],
        "double" => [lambda { |r|
  p = r.rand(3..5)
  ["#{p} + #{p} = ?", "#{p + 1} + #{p + 1} = ?", "#{p + 2} + #{p + 2} = ?", "#{(p + 2) * 2} - #{p + 2} = ?", "#{p + 4} + #{p + 4} = ?"]
},
                     "Who knows the double, and who uses it to take half away?"],
        "near_double" => [lambda { |r|
  p = r.rand(4..6)
  ["#{p} + #{p} = ?", "#{p} + #{p + 1} = ?", "#{p + 2} + #{p + 2} = ?", "#{p + 2} + #{p + 3} = ?", "#{p + 2} + #{p + 1} = ?"]
},
                          "Who says “the double, and one more”?"],
        "five_and" => [lambda { |r|
  q = r.rand(6..7)
  ["5 + 5 = ?", "5 + #{q} = ?", "#{q} + #{q} = ?", "#{q} + #{q + 1} = ?", "#{q + 1} + #{13 - q} = ?"]
},
                       "Who sees a five in each number?"],
        "share_even" => [lambda { |r|
  p = r.rand(4..6)
  ["#{p} + #{p} = ?", "#{p - 1} + #{p + 1} = ?", "#{p + 2} + #{p + 2} = ?", "#{p + 1} + #{p + 3} = ?", "#{p} + #{p + 2} = ?"]
},
                         "Who gives one across to make a double?"],
        "place_value" => [lambda { |r|
  a = r.rand(2..3)
  ["10 + #{a} = ?", "20 + #{a} = ?", "2#{a} + 4 = ?", "2#{a} + 14 = ?", "3#{a + 1} + 22 = ?"]
},
                          "Who puts tens with tens and ones with ones?"],
        "family" => [lambda { |r|
  p, q = r.rand(4..5), r.rand(2..3)
  ["#{p} + #{q} = ?", "#{p + q} - #{p} = ?", "#{p + q} - #{q} = ?", "#{p + 4} - #{q + 1} = ?"]
},
                     "Who uses the addition to take away?"],
        "tens_fact" => [lambda { |r|
  p, q = r.rand(4..5), r.rand(2..3)
  ["#{p} + #{q} = ?", "#{p}0 + #{q}0 = ?", "#{p + q} - #{q} = ?", "#{p + q}0 - #{q}0 = ?", "#{p + 1}0 + #{q}0 = ?"]
},
                        "Who says the ones fact, and then says it in tens?"],
        "up_through_ten" => [lambda { |r|
  q = r.rand(8..9)
  b = r.rand(3..5)
  ["#{q} + #{10 - q} = ?", "#{q} + #{10 - q} + #{b} = ?", "#{q} + #{b + 10 - q} = ?", "#{17 - q} + 7 = ?"]
},
                             "Who breaks the second number to fill the ten?"],
        "give_to_ten" => [lambda { |r|
  b = r.rand(3..5)
  ["10 + #{b} = ?", "9 + #{b + 1} = ?", "10 + #{b + 1} = ?", "8 + #{b + 3} = ?", "9 + #{b + 3} = ?"]
},
                          "Who changes the problem into ten and some?"],
        "back_through_ten" => [lambda { |r|
  o = r.rand(3..5)
  ["1#{o} - #{o} = ?", "10 - 2 = ?", "1#{o} - #{o + 2} = ?", "1#{o + 1} - #{o + 3} = ?"]
},
                               "Who goes back to ten first, and knows how much is still to go?"],
        "ten_minus" => [lambda { |r|
  o = r.rand(3..5)
  ["10 - 9 = ?", "1#{o} - 9 = ?", "10 - 8 = ?", "1#{o} - 8 = ?", "1#{o + 1} - 9 = ?"]
},
                        "Who takes it all from the ten and puts the ones back?"],
        "up_through_ten_to" => [lambda { |r|
  p = r.rand(7..8)
  ["#{p} + ? = 10", "10 + ? = 13", "#{p} + ? = 13", "9 + ? = 1#{p - 3}"]
},
                                "Who stops at ten on the way up, and adds the two jumps?"],
        "ten_partner" => [lambda { |r|
  p = r.rand(6..8)
  ["5 + 5 = ?", "#{p} + #{10 - p} = ?", "#{p} + ? = 10", "10 - #{p} = ?", "10 - #{11 - p} = ?"]
},
                          "Who sees the empty places of the ten?"]
      }.freeze

      # @param move [String] the id of a move of rungs 2 to 4
      # @param random [Random]
      # @raise [Error::Unknown]
      def self.for(move, random:)
        entry = Strategy::Move::ALL.fetch(move)
        lead, listen_for = LEADS.fetch(move) { raise Error::Unknown, "there is no string for “#{move}”; there are #{LEADS.keys.join(', ')}" }
        new(entry, lead.call(random).map { |text| Problem::Equation.parse(text).to_problem }, listen_for)
      end

      def initialize(move, problems, listen_for)
        @move = move
        @problems = problems.freeze
        @listen_for = listen_for
        freeze
      end

      # The one before the last is the target with help; the last stands alone.
      def to_h = { move: move.id, problems: problems.map { |problem| { equation: problem.to_s, answer: problem.answer } }, listen_for: listen_for }
    end
  end
end
