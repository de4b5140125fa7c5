# frozen_string_literal: true

module Rungs
  module Activity
    # A finger on the start, which is not counted; jump, count the jumps, land, write. Or a number to find on a line
    # that has its tens alone: between which, then by ones.
    class JumpTrack < Kind
      Rungs.shelve self
      include Place

      entry id: "jump_track", title: "Jumps on the line", minutes: 8, finds: %w[put_together take_away], usual: 6,
            paper: { recording: "line", cutouts: %w[dice_nets] },
            i_can: "I can jump on the line and say where I land.",
            materials: [Material.new(thing: "number track", per: "child", count: 1, instead: "one drawn on paper"),
                        Material.new(thing: "big track on the floor", per: "class", count: 1,
                                     instead: "chalk in the yard")],
            suits: { both: Suits::TO_100, rungs: [2, 3], ten: %w[bridge to100] },
            cautions: %w[jumping],
            listen_for: { "count_all" => "counts every place from one", "count_on" => "counts the jumps only",
                          "part_whole" => "“five and three, so two jumps of four”",
                          "make_ten" => "stops at ten on the way",
                          "known_fact" => "lands at once" },
            slips: %w[start_counted one_over],
            easier: "To ten, forward.", harder: "Back, where did I start, and where is it?"

      option "to", "To", [10, 5, 20, 100], fits: :range
      option "missing", "Missing", %w[landing start jumps both place]
      option "direction", "Jump", %w[forward back]
      by_hand("start", "jumps") { |data| data.values_at(:start, :jumps) }

      def self.sets_for(aim)
        to = aim.operation == "add" ? "forward" : "back"
        super.flat_map { |set| %w[landing jumps].map { |missing| { **set, "missing" => missing, "direction" => to } } }
      end

      MOST_JUMPS = 9
      # Of whole tens each jump is ten long.
      TEN = 10
      # Where the shortest line ends.
      SHORTEST = 10

      def most
        return places.size if place?

        both? ? landings.size : rows.size
      end

      def draw(random, count)
        return mixed(places, count, random).map { |number| found(number) } if place?
        return mixed(landings, count, random).map { |landing| to_land(landing, random) } if both?

        rows.sample(count, random: random).map { |start, jumps| row(start, jumps) }
      end

      def hand(_data) = place? ? ["the number"] : super
      def numbers_at(data) = place? ? [data[:landing]] : super

      def item(data)
        return placed(data) if place?

        start, jumps, landing = data.values_at(:start, :jumps, :landing)
        sum = "#{start} #{sign} #{jumps} = #{landing}"
        make(
          ask: ask(start, jumps, landing), answer: data.fetch(both? ? :landing : data[:missing].to_sym),
          problem: asked(start, jumps, landing), data: data, shown: seen(start, landing).layout,
          steps: [
            seen(start, landing),
            step("check", reach(start, jump_by_jump(start, landing)), "#{said(jumps)}: land on #{landing}.",
                 title: "Jump"),
            step("write", parts(back? ? [jumps, landing] : [start, jumps]), read(sum),
                 equation: sum)
          ]
        )
      end

      def problem_of(data) = (asked(*data.values_at(:start, :jumps, :landing)) unless place?)

      # @param input [Array(Integer, Integer)] a start and jumps that were offered for a landing
      # @return [Picture::Way] the sentence, where they land there
      def way(item, input)
        return super unless input.is_a?(Array)

        start, jumps = input
        reached = back? ? start - jumps : start + jumps
        landing = item.data[:landing]
        refuse("#{start} #{sign} #{jumps} lands on #{reached}, not on #{landing}") unless reached == landing
        written("#{start} #{sign} #{jumps} = #{landing}")
      end

      private

      def limits
        return "it takes 1 to #{option(:to) - 1}, between two tens" if place?

        "the line goes from 0 to #{option(:to)}, in 1 to #{longest} jumps"
      end

      def remade(_data, start, jumps = nil)
        return (found(start) if places.include?(start)) if place?

        row(start, jumps) if rows.include?([start, jumps])
      end

      def back? = option(:direction) == "back"

      def both? = option(:missing) == "both"
      def sign = back? ? "−" : "+"
      def longest = step_length * [MOST_JUMPS, option(:to) / 2].min

      def by_tens? = range == "tens"
      def step_length = by_tens? ? TEN : 1

      # "3 jumps", "2 jumps of ten"
      def said(jumps) = "#{many(jumps / step_length, 'jump')}#{' of ten' if by_tens?}"

      def rows
        @rows ||= (0..option(:to)).step(step_length).flat_map do |start|
          jumps = (step_length..longest).step(step_length)
          jumps = jumps.select { |each| (back? ? start - each : start + each).between?(0, option(:to)) }
          jumps.map { |each| [start, each] }
        end
      end

      def row(start, jumps)
        { start: start, jumps: jumps, landing: back? ? start - jumps : start + jumps, missing: option(:missing) }
      end

      # More than one start leads there.
      def landings = back? ? (0..option(:to) - 2).to_a : (2..option(:to)).to_a

      # One of the starts from which a landing is reached; every other is right as well.
      def to_land(landing, random)
        row(*rows.select { |from, by| (back? ? from - by : from + by) == landing }.sample(random: random))
      end

      def ask(start, jumps, landing)
        direction = back? ? " back" : ""
        { "landing" => "Start at #{start}, #{said(jumps)}#{direction}. Where do you land?",
          "jumps" => "From #{start} to #{landing}#{direction}: how #{by_tens? ? 'far' : 'many jumps'}?",
          "start" => "#{said(jumps)}#{direction}, and you land on #{landing}. Where did you start?",
          "both" => "Land on #{landing}. Which start, and how many jumps#{direction}?" }.fetch(option(:missing))
      end

      def asked(start, jumps, landing)
        texts = { "landing" => "#{start} #{sign} #{jumps} = ?", "jumps" => "#{start} #{sign} ? = #{landing}",
                  "start" => "? #{sign} #{jumps} = #{landing}" }
        return problem(texts.fetch(option(:missing))) unless both?

        Problem.new(parts: back? ? [landing, 0] : [start, jumps], unknown: :both) unless back?
      end

      # The start, unless it is what is asked for.
      def seen(start, landing)
        return step("look", reach(start), "Put your finger on the start. It is not counted.") unless start_asked?

        bare = reach(start).with(start: nil)
        step("look", bare, "Find #{landing}. That is where the last jump lands.")
      end

      def start_asked? = %w[start both].include?(option(:missing))

      # Where each jump lands.
      def jump_by_jump(start, landing)
        by = start < landing ? step_length : -step_length
        (start + by).step(landing, by).to_a
      end

      def reach(start, jumps = [])
        return tens.with(start: start, jumps: jumps) if by_tens?

        around = [start, *jumps]
        return Picture::Line.new(to: [option(:to), SHORTEST].max, start: start, jumps: jumps) if option(:to) < 100

        from, to = around.min / 10 * 10, [(around.max / 10.0).ceil * 10, (around.min / 10 * 10) + 10].max
        Picture::Line.new(from: [from, 90].min, to: [to, 100].min, start: start, jumps: jumps)
      end
    end
  end
end
