# frozen_string_literal: true

module Rungs
  module Activity
    # A half is there; its twin is found, the same again; together; and checked on a line where only jumps are counted.
    class Twins < Kind
      entry id: "twins", title: "Twins", minutes: 7, finds: %w[doubles put_together], usual: 5,
            paper: { recording: "dots", cutouts: %w[number_cards] },
            i_can: "I can say the double of a number.",
            materials: [Material.pieces(20, "counters", per: "child",
                                                        instead: "buttons, the ends of dominoes, two hands")],
            suits: { add: %w[to5 to10 bridge], rungs: [1, 2, 3] },
            cautions: %w[small_things],
            listen_for: { "count_all" => "counts both halves from one", "count_on" => "“six … seven, eight …”",
                          "part_whole" => "“five and five is ten, and one and one”",
                          "make_ten" => "fills the first frame",
                          "known_fact" => "says the double at once" },
            slips: %w[doubled one_short start_counted],
            easier: "Doubles to five and five.", harder: "Near doubles, after the double is safe."

      option "to", "Double to", [5, 10], fits: :range, reach: ->(half) { 2 * half }
      option "near", "Near doubles", %w[no yes]
      by_hand("each twin") { |data| [data[:half]] }

      def self.sets_for(aim) = super.flat_map { |set| %w[no yes].map { |near| { **set, "near" => near } } }

      def most = near? ? (option(:to) * 2) - 1 : option(:to)

      # Each once; a near double follows its double.
      def draw(random, count)
        halves = mixed((1..option(:to)).to_a, option(:to), random)
        all = halves.flat_map { |half| [[half, false], ([half, true] if near? && half < option(:to))].compact }
        all.first(count).map { |half, near| { half: half, near: near, total: (half * 2) + (near ? 1 : 0) } }
      end

      def problem_of(data) = problem("#{data[:half]} + #{data[:total] - data[:half]} = ?")

      def item(data)
        half, near, total = data.values_at(:half, :near, :total)
        twin = total - half
        make(
          ask: near ? "#{half} and one more than #{half}: how many?" : "#{half} and the same again: how many?",
          answer: total, problem: problem_of(data), data: data, shown: objects([half, 0], "button"),
          tell: "Put out #{half}; #{total} in the end.",
          steps: matched(half, twin, near)
        )
      end

      private

      def matched(half, twin, near)
        total = half + twin
        [
          step("look", objects([half, twin], "button"),
               near ? "The same again, and one more." : "The same again, one by one.", title: "Match them"),
          step("check", frame([half, twin], size: total <= 10 ? 10 : 20), "Together on the frame: #{total}.",
               title: "Together"),
          step("check", line(half, [total]), "From #{half}, count only the jumps.", title: "On a line"),
          step("write", Picture::Rack.new([half, twin]), "#{half} and #{twin} is #{total}.",
               equation: "#{half} + #{twin} = #{total}")
        ]
      end

      def limits = "it takes 1 to #{option(:to)}"

      def remade(data, half)
        { **data, half: half, total: (half * 2) + (data[:near] ? 1 : 0) } if half.between?(1, option(:to))
      end

      def near? = option(:near) == "yes"
    end
  end
end
