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

      # listen_for: a question to oneself. ranges: of the numbers that chance chooses. problems: those numbers → equations.
      Lead = Struct.new(:listen_for, :ranges, :problems) do
        def draw(random) = problems.call(*ranges.map { |range| random.rand(range) })
      end

      # For each move of rungs 2 to 4, what leads to it. A new move gets its string by one more entry here.
      LEADS = {
        "on_first" => Lead.new("Who starts from the first number without counting it again?", [6..8], lambda { |a|
          ["#{a} + 1 = ?", "#{a} + 2 = ?", "#{a} + 3 = ?", "#{a + 4} + 3 = ?"]
        }),
        "on_larger" => Lead.new("Who turns the problem round and starts from the larger number?", [7..8], lambda { |a|
          ["#{a} + 2 = ?", "2 + #{a} = ?", "3 + #{a} = ?", "2 + #{a + 2} = ?"]
        }),
        "back_from" => Lead.new("Who says the whole first and does not count it as a step?", [7..9], lambda { |w|
          ["#{w} - 1 = ?", "#{w} - 2 = ?", "#{w} - 3 = ?", "#{w + 3} - 2 = ?"]
        }),
        "back_to" => Lead.new("Who sees that only a few steps lie between the two numbers?", [7..9], lambda { |w|
          ["#{w} - #{w - 1} = ?", "#{w} - #{w - 2} = ?", "#{w} - #{w - 3} = ?", "#{w + 3} - #{w + 1} = ?"]
        }),
        "up_to" => Lead.new("Who counts the steps, and not the numbers said?", [6..8], lambda { |p|
          ["#{p} + ? = #{p + 1}", "#{p} + ? = #{p + 2}", "#{p} + ? = #{p + 3}", "#{p + 4} + ? = #{p + 7}"]
        }),
        "skip" => Lead.new("Who goes in tens, and keeps track of how many?", [3..5], lambda { |a|
          ["#{a}0 + 20 = ?", "#{a}0 + 30 = ?", "#{a + 1}0 + 30 = ?", "#{a - 1}0 + 40 = ?"]
        }),
        "double" => Lead.new("Who knows the double, and who uses it to take half away?", [3..5], lambda { |p|
          ["#{p} + #{p} = ?", "#{p + 1} + #{p + 1} = ?", "#{p + 2} + #{p + 2} = ?", "#{(p + 2) * 2} - #{p + 2} = ?", "#{p + 4} + #{p + 4} = ?"]
        }),
        "near_double" => Lead.new("Who says “the double, and one more”?", [4..6], lambda { |p|
          ["#{p} + #{p} = ?", "#{p} + #{p + 1} = ?", "#{p + 2} + #{p + 2} = ?", "#{p + 2} + #{p + 3} = ?", "#{p + 2} + #{p + 1} = ?"]
        }),
        "five_and" => Lead.new("Who sees a five in each number?", [6..7], lambda { |q|
          ["5 + 5 = ?", "5 + #{q} = ?", "#{q} + #{q} = ?", "#{q} + #{q + 1} = ?", "#{q + 1} + #{13 - q} = ?"]
        }),
        "share_even" => Lead.new("Who gives one across to make a double?", [4..6], lambda { |p|
          ["#{p} + #{p} = ?", "#{p - 1} + #{p + 1} = ?", "#{p + 2} + #{p + 2} = ?", "#{p + 1} + #{p + 3} = ?", "#{p} + #{p + 2} = ?"]
        }),
        "place_value" => Lead.new("Who puts tens with tens and ones with ones?", [2..3], lambda { |a|
          ["10 + #{a} = ?", "20 + #{a} = ?", "2#{a} + 4 = ?", "2#{a} + 14 = ?", "3#{a + 1} + 22 = ?"]
        }),
        "family" => Lead.new("Who uses the addition to take away?", [4..5, 2..3], lambda { |p, q|
          ["#{p} + #{q} = ?", "#{p + q} - #{p} = ?", "#{p + q} - #{q} = ?", "#{p + 4} - #{q + 1} = ?"]
        }),
        "tens_fact" => Lead.new("Who says the ones fact, and then says it in tens?", [4..5, 2..3], lambda { |p, q|
          ["#{p} + #{q} = ?", "#{p}0 + #{q}0 = ?", "#{p + q} - #{q} = ?", "#{p + q}0 - #{q}0 = ?", "#{p + 1}0 + #{q}0 = ?"]
        }),
        "up_through_ten" => Lead.new("Who breaks the second number to fill the ten?", [8..9, 3..5], lambda { |q, b|
          ["#{q} + #{10 - q} = ?", "#{q} + #{10 - q} + #{b} = ?", "#{q} + #{b + 10 - q} = ?", "#{17 - q} + 7 = ?"]
        }),
        "give_to_ten" => Lead.new("Who changes the problem into ten and some?", [3..5], lambda { |b|
          ["10 + #{b} = ?", "9 + #{b + 1} = ?", "10 + #{b + 1} = ?", "8 + #{b + 3} = ?", "9 + #{b + 3} = ?"]
        }),
        "back_through_ten" => Lead.new("Who goes back to ten first, and knows how much is still to go?", [3..5], lambda { |o|
          ["1#{o} - #{o} = ?", "10 - 2 = ?", "1#{o} - #{o + 2} = ?", "1#{o + 1} - #{o + 3} = ?"]
        }),
        "ten_minus" => Lead.new("Who takes it all from the ten and puts the ones back?", [3..5], lambda { |o|
          ["10 - 9 = ?", "1#{o} - 9 = ?", "10 - 8 = ?", "1#{o} - 8 = ?", "1#{o + 1} - 9 = ?"]
        }),
        "up_through_ten_to" => Lead.new("Who stops at ten on the way up, and adds the two jumps?", [7..8], lambda { |p|
          ["#{p} + ? = 10", "10 + ? = 13", "#{p} + ? = 13", "9 + ? = 1#{p - 3}"]
        }),
        "ten_partner" => Lead.new("Who sees the empty places of the ten?", [6..8], lambda { |p|
          ["5 + 5 = ?", "#{p} + #{10 - p} = ?", "#{p} + ? = 10", "10 - #{p} = ?", "10 - #{11 - p} = ?"]
        })
      }.freeze

      # @param move [String] the id of a move of rungs 2 to 4
      # @param random [Random]
      # @raise [Error::Unknown]
      def self.for(move, random:)
        entry = Strategy::Move::ALL.fetch(move)
        lead = LEADS.fetch(move) { raise Error::Unknown, "there is no string for “#{move}”; there are #{LEADS.keys.join(', ')}" }
        new(entry, lead.draw(random).map { |text| Problem::Equation.parse(text).to_problem }, lead.listen_for)
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
