# frozen_string_literal: true

module Rungs
  module Activity
    # Some beads are pushed over and seen, a card hides the rest: how many are hiding?
    class HiddenBeads < Kind
      entry id: "hidden_beads", title: "Hidden beads", minutes: 7, finds: %w[make_ten parts], usual: 6,
            paper: { recording: "parts" },
            i_can: "I can say how many are hiding.",
            materials: [Material.pieces(10, "beads on a string, five and five of a colour",
                                        per: "child",
                                        instead: "a paper strip with a flap, or ten fingers behind a book")],
            suits: { both: %w[to5 to10 to20], rungs: [1, 2, 3], ten: %w[to10], parts: true },
            cautions: %w[small_things],
            listen_for: { "count_all" => "counts the seen, then points along the card",
                          "count_on" => "“seven … eight, nine, ten”",
                          "part_whole" => "“five and two, so three”", "make_ten" => "“seven and three fill the ten”",
                          "known_fact" => "“three” at once" },
            slips: %w[start_counted one_short repeated_given gave_total],
            easier: "Five beads.", harder: "Twenty beads."

      option "whole", "Beads", [10, 5, 20], fits: :range
      option "on", "On", %w[rack frame cup]
      by_hand("beads that are seen") { |data| [data[:shown]] }

      WITH_ENDS = 5

      def most = whole + 1

      # As many beads as are hidden among.
      def materials = super.map { |each| Material.new(**each.to_h, count: whole) }

      # A longer set has none and all of them, neither first; it is in no order, and some neighbours are one apart.
      def draw(random, count)
        shown = chosen_starts(random, count)
        shown = shown.shuffle(random: random) until mixed_well?(shown)
        shown.map { |each| { whole: whole, shown: each, hidden: whole - each } }
      end

      def problem_of(data) = problem("#{data[:shown]} + ? = #{data[:whole]}")

      def item(data)
        shown, hidden = data.values_at(:shown, :hidden)
        asked = problem_of(data)
        written = "#{shown} + #{hidden} = #{whole}"
        make(
          ask: "#{whole} beads in all. #{shown.zero? ? 'None' : shown} can be seen. How many are hiding?",
          answer: hidden, problem: asked, data: data, shown: covered(shown),
          steps: [
            step("look", covered(shown), "How many do you see? How many are there in all?"),
            step("check", open(shown, hidden),
                 hidden.zero? ? "None hide." : "The #{cover} lifts: #{many(hidden, 'bead')}.",
                 title: "Lift the #{cover}"),
            step("write", parts([shown, hidden]), "Seen and hiding make #{whole}.", equation: written)
          ]
        )
      end

      private

      def limits = "there are #{whole} beads"
      def remade(data, shown) = ({ **data, shown: shown, hidden: whole - shown } if shown <= whole)

      def whole = option(:whole)

      # Two that are one apart among them, where there are two.
      def chosen_starts(random, count)
        first = random.rand(1..whole - 2)
        ends = count >= WITH_ENDS ? [0, whole] : []
        rest = [*1..whole - 1] - [first, first + 1]
        taken = [*ends, *[first, first + 1].first(count), *rest.shuffle(random: random)].first(count)
        taken + [0, whole].first(count - taken.size)
      end

      def mixed_well?(shown)
        return false if [0, whole].include?(shown.first)
        return true if shown.size < 2

        apart_by_one = shown.each_cons(2).any? { |one, other| (one - other).abs == 1 }
        apart_by_one && (shown.size == 2 || ![shown.sort, shown.sort.reverse].include?(shown))
      end

      def cover = option(:on) == "cup" ? "cup" : "card"

      def covered(shown)
        case option(:on)
        when "rack" then rack(shown, card: true)
        when "frame" then frame([shown], size: whole, card: true)
        else objects([shown], "bead", cup: true)
        end
      end

      def open(shown, hidden)
        option(:on) == "rack" ? frame([shown, hidden], size: whole) : rack(shown)
      end

      # On a string of five, ten or twenty.
      def rack(shown, **more)
        return Picture::Rack.new([[shown, 10].min, [shown - 10, 0].max], **more) if whole == 20

        Picture::Rack.new([shown], beads: whole, **more)
      end
    end
  end
end
