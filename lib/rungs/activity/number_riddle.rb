# frozen_string_literal: true

module Rungs
  module Activity
    # “My number is more than three.” Clue by clue the numbers that are left become fewer, until one is left.
    class NumberRiddle < Kind
      entry id: "number_riddle", title: "Number riddle", minutes: 7, finds: %w[games talk], usual: 3,
            paper: { shows: 0, asks: 0..-3, recording: "line", cutouts: %w[riddle_cards] },
            i_can: "I can find the number that fits all the clues.",
            materials: [Material.new(thing: "frame and counters", per: "child", count: 1,
                                     instead: "a number track and a peg")],
            cautions: %w[small_things],
            listen_for: { "count_all" => "counts each number out to try it",
                          "count_on" => "“more than three: four, five …”",
                          "part_whole" => "“the double of three”", "known_fact" => "strikes numbers at once" },
            slips: [],
            easier: "To ten, three clues.", harder: "To twenty, five clues."

      option "to", "To", [10, 20], fits: :range
      option "clues", "Clues", [3, 4, 5]

      # words, and whether a number fits.
      Clue = Struct.new(:words, :fits)
      TRIES = 400

      def most = option(:to) + 1

      # Another number each time.
      def draw(random, count)
        answers = (0..option(:to)).to_a.shuffle(random: random)
        found = answers.lazy.filter_map { |answer| riddle(answer, random) }.first(count)
        return found if found.size == count

        raise Error::TooMany, "#{count} riddles were asked for, but there are #{found.size} in all"
      end

      def item(data)
        answer, clues, left = data.values_at(:answer, :clues, :left)
        told = clues.each_with_index.map do |clue, index|
          step(index.zero? ? "look" : "ask", track(left[index + 1]), clue, asked: true)
        end
        make(
          ask: "Which number fits all the clues?", answer: answer, data: data, equation: nil,
          steps: [
            step("ask", track(left[0]), "My number is from 0 to #{option(:to)}."), *told,
            step("check", frame([answer], size: answer <= 10 ? 10 : 20), "It is #{answer}."),
            step("write", track([answer]), "Only #{answer} is left.")
          ]
        )
      end

      private

      # Each clue leaves fewer, and never all that were left; the last leaves one.
      def riddle(answer, random)
        TRIES.times do
          left, clues = [(0..option(:to)).to_a], []
          pool = fitting(answer).shuffle(random: random)
          while (clue = pool.shift) && clues.size < option(:clues)
            rest = left.last.select { |number| clue.fits.call(number) }
            last = clues.size == option(:clues) - 1
            next if rest.size == left.last.size || (last ? rest != [answer] : rest.size < 2)

            clues << clue.words
            left << rest
          end
          return { answer: answer, clues: clues, left: left } if clues.size == option(:clues)
        end
        nil
      end

      # True of the answer.
      def fitting(answer) = clues_to(option(:to)).select { |clue| clue.fits.call(answer) }

      def clues_to(most)
        @clues_to ||= (1...most).flat_map do |n|
          [Clue.new("It is more than #{n}.", ->(x) { x > n }),
           Clue.new("It is less than #{n + 1}.", ->(x) { x < n + 1 }),
           Clue.new("It is not #{n}.", ->(x) { x != n })]
        end + [
          Clue.new("It is even.", :even?.to_proc), Clue.new("It is odd.", :odd?.to_proc),
          *(2..most / 2).map do |n|
            Clue.new("It is the double of #{n}, or the number after it.",
                     ->(x) { [n * 2, (n * 2) + 1].include?(x) })
          end,
          *(1..most / 2).map { |n| Clue.new("#{n} from it is #{n} or more.", ->(x) { x - n >= n }) },
          *(3..most - 1).map { |n| Clue.new("It is next to #{n}.", ->(x) { (x - n).abs == 1 }) },
          Clue.new("With it you can fill a row of five and some.", ->(x) { x > 5 })
        ]
      end

      # Numbers that are out are struck.
      def track(left) = Picture::Track.new(option(:to), left: left)
    end
  end
end
