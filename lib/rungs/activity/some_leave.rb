# frozen_string_literal: true

module Rungs
  module Activity
    # The whole is there; some leave, counted as they go; what is left is counted. None leaves once, and all leave once.
    class SomeLeave < Kind
      entry id: "some_leave", title: "Some leave", minutes: 8, finds: %w[take_away], usual: 6,
            paper: { recording: "cross_out" },
            i_can: "I can take some away and say how many are left.",
            materials: [Material.pieces(20, "counters", per: "child",
                                                        instead: "buttons, pebbles; fingers need nothing")],
            suits: { subtract: %w[to5 to10 teens bridge], rungs: [1, 2, 3], ten: %w[to10 bridge] },
            cautions: %w[small_things],
            listen_for: { "count_all" => "counts out the whole, takes away, counts what is left",
                          "count_on" => "“twelve … eleven, ten, nine”",
                          "part_whole" => "“five and seven is twelve, so seven”",
                          "make_ten" => "“twelve back two is ten”",
                          "known_fact" => "says it at once" },
            slips: %w[all_gone_kept zero_takes_one start_counted said_taken],
            easier: "To five, on fingers.", harder: "To twenty, on a frame."

      option "to", "To", [10, 5, 20], fits: :range
      option "acted", "Acted with", %w[things fingers frame]
      option "leave", "They leave", %w[some one_at_a_time]
      by_hand("at first", "leave") { |data| data.values_at(:start, :leave) }

      WITH_ENDS = 6
      ON_FINGERS = 10

      def most = rhyme? ? to : starts.size

      def draw(random, count)
        return (1..to).to_a.reverse.first(count).map { |start| left(start, 1) } if rhyme?

        none, all, some = ends(random)
        extremes = count >= WITH_ENDS ? [none, all] : []
        chosen = [*extremes, *some.sample(count - extremes.size, random: random)].shuffle(random: random)
        chosen.map { |start, leave| left(start, leave) }
      end

      def problem_of(data) = problem("#{data[:start]} - #{data[:leave]} = ?")

      def item(data)
        start, leave, left = data.values_at(:start, :leave, :left)
        make(
          ask: ask(start, leave), answer: left, problem: problem_of(data), data: data,
          shown: shown(start), tell: "Put out #{start}; #{many_left(left)}.",
          steps: [
            step("look", shown(start),
                 leave.zero? ? "Nobody moves. Does anything change?" : "Who leaves? Show with a hand."),
            step("check", shown(start, leave), gone(leave, left), title: "They leave"),
            step("write", line(start, leave.zero? ? [] : [left]), said(start, leave, left),
                 equation: "#{start} − #{leave} = #{left}")
          ]
        )
      end

      private

      def limits = "#{to} at first at most, and #{rhyme? ? '1 leaves' : 'no more leave than are there'}"

      def remade(_data, start, leave)
        left(start, leave) if start.between?(1, to) && leave <= start && (!rhyme? || leave == 1)
      end

      def rhyme? = option(:leave) == "one_at_a_time"
      def to = option(:acted) == "fingers" ? [option(:to), ON_FINGERS].min : option(:to)
      def left(start, leave) = { start: start, leave: leave, left: start - leave }

      # Every taking away with something left and something gone.
      def starts = @starts ||= (2..to).flat_map { |start| (1...start).map { |leave| [start, leave] } }

      def ends(random)
        whole = (2..to).to_a
        none, all = whole.sample(random: random), whole.sample(random: random)
        [[none, 0], [all, all], starts]
      end

      def ask(start, leave)
        return "#{many(start, 'boat')} by the quay, and 1 sails away. How many are left?" if rhyme?

        "#{are(start)} there. #{leave.zero? ? 'None leave' : does(leave, 'leave')}. How many are left?"
      end

      def shown(start, leave = 0)
        case option(:acted)
        when "fingers" then Picture::Fingers.new([start - leave])
        when "frame" then frame([start], size: start <= 10 ? 10 : 20, struck: leave)
        else objects([start], rhyme? ? "boat" : "counter", moved: leave)
        end
      end

      def gone(leave, left)
        return "Nothing leaves, so nothing changes." if leave.zero?
        return "All leave. Nobody is left." if left.zero?

        "#{does(leave, 'leave')}. #{Rungs.capital(many_left(left))}."
      end

      def many_left(left) = "#{are(left)} left"

      # A counting-back rhyme of the harbour.
      def said(start, leave, left)
        return "#{Rungs.capital(word(start))} #{settings[:minus]} #{word(leave)} is #{word(left)}." unless rhyme?

        boats = left.zero? ? "no boat" : many(left, "boat")
        "#{Rungs.capital(many(start, 'boat'))} by the quay, one set sail and went away: #{boats}."
      end
    end
  end
end
