# frozen_string_literal: true

module Rungs
  module Activity
    # “My number is more than three.” Clue by clue the numbers that are left become fewer, until one is left.
    class NumberRiddle < Kind
      entry id: "number_riddle", title: "Number riddle", minutes: 7, finds: %w[games talk], usual: 3,
            paper: { asks: 1..-3, recording: "line", cutouts: %w[riddle_cards] },
            i_can: "I can find the number that fits all the clues.",
            materials: [Material.new(thing: "frame", per: "child", count: 1, instead: "a number track and a peg"),
                        Material.pieces(20, "counters", per: "child", instead: "a peg")],
            roles: %i[warm_up],
            cautions: %w[small_things],
            listen_for: { "count_all" => "counts each number out to try it",
                          "count_on" => "“more than three: four, five …”",
                          "part_whole" => "“the double of three”", "known_fact" => "strikes numbers at once" },
            slips: [],
            easier: "To ten, three clues.", harder: "To twenty, five clues."

      option "to", "To", [10, 20], fits: :range
      option "clues", "Clues", [3, 4, 5]
      by_hand("the number") { |data| [data[:answer]] }

      # kind; words; the numbers of the range that fit it by itself.
      Clue = Struct.new(:kind, :words, :fits, :mask, keyword_init: true)
      TRIES = 400
      # By itself a clue leaves this many at least; to ten so many clues are needed at most.
      LEAST = 3
      MOST_TO_TEN = 4
      # Kinds that come once in a riddle.
      ONCE = %i[not].freeze

      def most = option(:to) == 10 && option(:clues) > MOST_TO_TEN ? 0 : option(:to) + 1

      # Another number each time.
      def draw(random, count)
        answers = (0..option(:to)).to_a.shuffle(random: random)
        found = answers.lazy.filter_map { |answer| riddle(answer, random) }.first(count)
        return found if found.size == count

        raise Error::TooMany, "#{count} riddles were asked for, but there are #{found.size} in all"
      end

      # Each clue at what was left before it; the last number stands alone only when it is checked.
      def problem_of(_data) = nil

      def item(data)
        answer, clues, left = data.values_at(:answer, :clues, :left)
        told = clues.each_with_index.map do |clue, index|
          step("look", track(left[index]), clue, title: "Clue #{index + 1}")
        end
        question = "My number is from 0 to #{option(:to)}. Which number fits all the clues?"
        make(
          ask: question, answer: answer, data: data, equation: nil, shown: track(left[0]),
          steps: [
            *told, step("check", frame([answer], size: answer <= 10 ? 10 : 20), "It is #{answer}."),
            step("write", track([answer]), "Only #{answer} is left.")
          ]
        )
      end

      private

      def limits = "no #{option(:clues)} clues lead there"

      # Other clues, that lead there.
      def remade(_data, answer) = (riddle(answer, Random.new(answer)) if answer <= option(:to))

      # Clues that are all needed: each alone shuts out some number.
      # @return [Hash, nil]
      def riddle(answer, random)
        fitting = clues_to(option(:to)).select do |clue|
          clue.fits.include?(answer) && !clue.words.match?(/\b#{answer}\b/)
        end
        pool = fitting.group_by(&:kind).values
        TRIES.times do
          clues = option(:clues).times.reduce([]) { |taken, _| grown(taken, pool, answer, random) or break }
          return data_of(answer, clues) if clues && mask(clues) == 1 << answer && clues.map(&:kind).uniq.size > 1
        end
        nil
      end

      # One clue more, so that all are needed; the last leaves the answer alone.
      def grown(taken, pool, answer, random)
        last = taken.size == option(:clues) - 1
        kinds = pool.reject { |all| ONCE.include?(all.first.kind) && taken.map(&:kind).include?(all.first.kind) }
        kinds.shuffle(random: random).each do |all|
          clue = all.shuffle(random: random).find do |each|
            clues = taken + [each]
            needed?(clues) && (mask(clues) == 1 << answer) == last
          end
          return taken + [clue] if clue
        end
        nil
      end

      def left(clues) = clues.map(&:fits).reduce(numbers, :&)

      # The same, a bit a number.
      def mask(clues) = clues.map(&:mask).reduce(-1, :&)

      # Whether without any one of them more numbers would be left.
      def needed?(clues)
        there = mask(clues)
        clues.each_index.all? { |index| mask(clues[0...index] + clues[index + 1..]) != there }
      end

      def data_of(answer, clues)
        { answer: answer, clues: clues.map(&:words),
          left: (0..clues.size).map { |many| left(clues.first(many)) }, fits: clues.map(&:fits) }
      end

      def numbers = (0..option(:to)).to_a

      # What children say and can check; each with the numbers that fit.
      def clues_to(most)
        @clues_to ||= [
          *(0...most).map { |n| clue(:more, "It is more than #{n}.") { |x| x > n } },
          *(1..most).map { |n| clue(:less, "It is less than #{n}.") { |x| x < n } },
          *numbers.combination(2).map { |n, m| clue(:between, "It is between #{n} and #{m}.") { |x| x > n && x < m } },
          clue(:even, "It is even.", &:even?), clue(:odd, "It is odd.", &:odd?),
          clue(:double, "It is a double.", &:even?), clue(:one, "It has a 1 in it.") { |x| x.to_s.include?("1") },
          clue(:row, "It fits on the top row of a frame.") { |x| x <= 5 },
          *numbers.map { |n| clue(:not, "It is not #{n}.") { |x| x != n } },
          *numbers.map { |n| clue(:apart, "It is not next to #{n}.") { |x| (x - n).abs != 1 } }
        ].select { |each| each.fits.size.between?(LEAST, most) }
      end

      def clue(kind, words, &)
        fits = numbers.select(&)
        Clue.new(kind: kind, words: words, fits: fits, mask: fits.sum { |number| 1 << number })
      end

      # Numbers that are out are struck.
      def track(left) = Picture::Track.new(option(:to), left: left)
    end
  end
end
