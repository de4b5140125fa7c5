# frozen_string_literal: true

module Rungs
  module Activity
    # A card or a die gives the first part: how many more until the frame is full?
    class FillTheFrame < Kind
      entry id: "fill_the_frame", title: "Fill the frame", minutes: 7, thrown: true, finds: %w[make_ten], usual: 6,
            paper: { recording: "frame", cutouts: %w[frames number_cards] },
            i_can: "I can say how many more fill the frame.",
            materials: [Material.new(thing: "frame", per: "child", count: 1,
                                     instead: "one drawn on paper, or in chalk"),
                        Material.new(thing: "counters of two colours", per: "child", count: 20,
                                     instead: "buttons and pasta, or leaves and stones")],
            cautions: %w[small_things outdoors],
            listen_for: { "count_all" => "puts all out and counts from one",
                          "count_on" => "“six … seven, eight, nine, ten”",
                          "part_whole" => "“two more make the row, and five”",
                          "make_ten" => "looks at the empty places",
                          "known_fact" => "says it at once" },
            slips: %w[start_counted one_short repeated_given],
            easier: "A frame of five.", harder: "Two frames, twenty."

      option "frame", "Frame", [10, 5, 20], fits: :range
      option "by", "First part by", %w[card die]
      option "with", "With", %w[counters found]

      DIE = (1..6)

      # By card every start once before any again; by die as it falls.
      def draw(random, count)
        return Array.new(count) { started(starts.to_a.sample(random: random)) } if option(:by) == "die"

        rounds = Array.new((count / starts.size.to_f).ceil) { mixed(starts.to_a, starts.size, random) }
        rounds.flatten.first(count).map { |first| started(first) }
      end

      def given(input)
        first = Integer(input, exception: false)
        refuse("the first part is a number from #{starts.min} to #{starts.max}") unless first && starts.cover?(first)
        started(first)
      end

      def item(data)
        size, first, more = data.values_at(:frame, :first, :more)
        make(
          ask: "#{first} are in the frame of #{size}. How many more until it is full?", answer: more,
          problem: problem("#{first} + ? = #{size}"), data: data,
          steps: [
            step("ask", fallen(first), "The #{option(:by)} says #{first}.", falls: true),
            step("look", frame([first], size: size), "#{many(first, thing)}. Look at the empty places."),
            step("ask", frame([first], size: size), "How many more until it is full?"),
            step("check", frame([first, more], size: size),
                 more.zero? ? "It is full already." : "#{more} more. Count all to be sure."),
            step("write", line(first, more.zero? ? [] : [size]), "#{first} and #{more} is #{size}.",
                 equation: "#{first} + #{more} = #{size}")
          ]
        )
      end

      private

      # A card may say none; a full frame asks nothing.
      def starts = option(:by) == "die" ? (1..[DIE.max, option(:frame)].min) : (0..option(:frame) - 1)

      def fallen(first) = option(:by) == "die" ? Picture::Dots.new("die", [first]) : Picture::Track.new([first])
      def thing = option(:with) == "found" ? "thing we found" : "counter"
      def started(first) = { frame: option(:frame), first: first, more: option(:frame) - first }

      def many(number, one)
        number == 1 || option(:with) != "found" ? super : "#{number} things we found"
      end
    end
  end
end
