# frozen_string_literal: true

module Rungs
  module Activity
    # A card or a die gives the first part: how many more until the frame is full?
    class FillTheFrame < Kind
      TWO = "two"

      entry id: "fill_the_frame", title: "Fill the frame", minutes: 7, thrown: true, finds: %w[make_ten], usual: 6,
            paper: { recording: "frame", cutouts: %w[frames number_cards] },
            i_can: "I can say how many more fill the frame.",
            materials: [Material.new(thing: "frame", per: "child", count: 1,
                                     instead: "one drawn on paper, or in chalk"),
                        Material.pieces(20, "counters", per: "child",
                                                        instead: "buttons and pasta, or leaves and stones")],
            suits: { both: %w[to5 to10 to20], add: %w[bridge], rungs: [1, 2, 3], ten: %w[to10 bridge], parts: true },
            cautions: %w[small_things outdoors],
            listen_for: { "count_all" => "puts all out and counts from one",
                          "count_on" => "“six … seven, eight, nine, ten”",
                          "part_whole" => "“two more make the row, and five”",
                          "make_ten" => "looks at the empty places",
                          "known_fact" => "says it at once" },
            slips: %w[start_counted one_short repeated_given],
            easier: "A frame of five.", harder: "Two frames, twenty."

      option("frame", "Frame", [10, 5, 20, TWO], fits: :range, reach: ->(size) { size == TWO ? 18 : size }) do |size|
        size == TWO ? "two, a sum" : size.to_s
      end
      option "by", "First part by", %w[card die]
      option "with", "With", %w[counters found]
      by_hand("on the frame") { |data| [data[:first]] }

      def self.sets_for(aim) = super.map { |set| aim.range == "bridge" ? { **set, "frame" => TWO } : set }

      DIE = (1..6)
      # A sum on two frames: the first part on the first, and more on the second than it has room for.
      FIRST = (6..9)

      def most = two? ? sums.size : nil

      # By card every start once before any again; by die as it falls; each sum once.
      def draw(random, count)
        return mixed(sums, count, random).map { |first, more| { frame: TWO, first: first, more: more } } if two?
        return Array.new(count) { started(thrown(random)) } if option(:by) == "die"

        rounds = Array.new((count / starts.size.to_f).ceil) { mixed(starts.to_a, starts.size, random) }
        rounds.flatten.first(count).map { |first| started(first) }
      end

      def given(input)
        refuse("two frames are not thrown") if two?
        first = Integer(input, exception: false)
        refuse("the first part is a number from #{starts.min} to #{starts.max}") unless first && starts.cover?(first)
        started(first)
      end

      def hand(_data) = two? ? ["on one frame", "on the other"] : super
      def numbers_at(data) = two? ? data.values_at(:first, :more) : super

      def problem_of(data)
        size, first, more = data.values_at(:frame, :first, :more)
        problem(size == TWO ? "#{first} + #{more} = ?" : "#{first} + ? = #{size}")
      end

      def item(data)
        return summed(data) if data[:frame] == TWO

        size, first, more = data.values_at(:frame, :first, :more)
        make(
          ask: "#{says(first)} How many more until the frame of #{size} is full?", answer: more,
          problem: problem_of(data), data: data, shown: fallen(first), falls: true,
          paper: { words: "How many more until it is full?", shown: frame([first], size: size) },
          steps: filled(size, first, more)
        )
      end

      private

      def filled(size, first, more)
        [
          step("look", frame([first], size: size), "#{Rungs.capital(many(first, thing))}. Look at the empty places.",
               title: "Put them in"),
          step("check", frame([first, more], size: size),
               more.zero? ? "It is full already." : "#{more} more. Count all to be sure.", title: "Fill it"),
          step("write", line(first, more.zero? ? [] : [size]), "#{first} and #{more} is #{size}.",
               equation: "#{first} + #{more} = #{size}")
        ]
      end

      def limits
        return "it takes #{starts.min} to #{starts.max}" unless two?

        "the first frame takes 6 to 9, and both more than 10 together"
      end

      def remade(_data, first, more = nil)
        return (started(first) if starts.cover?(first)) unless two?

        { frame: TWO, first: first, more: more } if FIRST.cover?(first) && (11 - first..9).cover?(more)
      end

      # As one die falls, or two.
      def thrown(random)
        dice? ? random.rand(DIE) + random.rand(DIE) : starts.to_a.sample(random: random)
      end

      def two? = option(:frame) == TWO
      def sums = @sums ||= FIRST.flat_map { |first| (11 - first..first).map { |more| [first, more] } }
      def apart(first, more, **moved) = frame([first, more], size: 20, apart: true, **moved)

      # Some move over until the first frame is full.
      def summed(data)
        first, more = data.values_at(:first, :more)
        over, whole = 10 - first, first + more
        make(
          ask: "#{first} on one frame and #{more} on the other. How many altogether?", answer: whole,
          problem: problem_of(data), data: data, shown: apart(first, more),
          steps: [
            step("look", apart(first, more), "How many empty places has the first frame?"),
            step("check", apart(first, more, moved: over),
                 "#{does(over, 'move')} over: ten and #{more - over} is #{whole}.", title: "Fill it"),
            step("write", line(first, [10, whole].uniq), "#{first} and #{more} is #{whole}.",
                 equation: "#{first} + #{more} = #{whole}")
          ]
        )
      end

      # A card may say none; a full frame asks nothing.
      def starts
        return (0..option(:frame) - 1) unless option(:by) == "die"

        dice? ? (DIE.min * 2..DIE.max * 2) : (1..[DIE.max, option(:frame)].min)
      end

      # Two dice for a frame that one would leave mostly empty.
      def dice? = option(:by) == "die" && option(:frame) == 20

      def fallen(first)
        return Picture::Track.new([first]) unless option(:by) == "die"

        dice? ? Picture::Dots.new("domino", [(first / 2.0).ceil, first / 2]) : Picture::Dots.new("die", [first])
      end

      def says(first) = dice? ? "The dice say #{first}." : "The #{option(:by)} says #{first}."
      def thing = option(:with) == "found" ? "thing we found" : "counter"
      def started(first) = { frame: option(:frame), first: first, more: option(:frame) - first }

      def many(number, one)
        number == 1 || option(:with) != "found" ? super : "#{number} things we found"
      end
    end
  end
end
