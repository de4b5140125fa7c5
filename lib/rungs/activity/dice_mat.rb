# frozen_string_literal: true

module Rungs
  module Activity
    # Two dice, their total covered on a mat. Only totals that can come are on it, each about as often as it comes.
    class DiceMat < Kind
      entry id: "dice_mat", title: "Two dice and a mat", minutes: 10, thrown: true, finds: %w[games], usual: 6,
            paper: { cutouts: %w[dice_nets mats] },
            i_can: "I can say how many two dice show.",
            materials: [
              Material.new(thing: "dice", per: "pair", count: 2, instead: "number cards in a bag"),
              Material.new(thing: "mat", per: "child", count: 1, instead: "totals written on paper"),
              Material.new(thing: "counters", per: "child", count: 16, instead: "buttons or caps")
            ],
            roles: %i[practise],
            ranged: true,
            cautions: %w[small_things],
            listen_for: { "count_all" => "counts every dot from one", "count_on" => "“five … six, seven, eight”",
                          "part_whole" => "“three and three, and one more”",
                          "make_ten" => "“six and four fill the ten”",
                          "known_fact" => "says the total at a glance" },
            slips: %w[one_short one_over start_counted],
            easier: "Nine places.", harder: "Sixteen places, and say what can still come."

      option "dice", "Dice", %w[1-6 0-5], fits: :within, reach: ->(dice) { 2 * dice.split("-").last.to_i }
      option "places", "Places", [9, 12, 16]
      by_hand("one die", "the other") { |data| data[:faces] }

      # As they fall.
      def draw(random, count)
        Array.new(count) do
          thrown([faces.to_a.sample(random: random),
                  faces.to_a.sample(random: random)])
        end
      end

      # @param input [Array<Integer>, String] both faces, "3 4"
      def given(input)
        shown = (input.is_a?(Array) ? input : input.to_s.scan(/\d+/)).map { |face| Integer(face, exception: false) }
        fits = shown.size == 2 && shown.all? { |face| face && faces.cover?(face) }
        refuse("two dice show two numbers from #{faces.min} to #{faces.max}") unless fits
        thrown(shown)
      end

      def problem_of(data) = problem("#{data[:faces].join(' + ')} = ?")

      def item(data)
        first, second = data[:faces]
        total = first + second
        make(
          ask: "#{first} and #{second}: how many? Cover it on the mat.", answer: total,
          problem: problem_of(data), data: data,
          shown: Picture::Dots.new("domino", [first, second]), falls: true,
          steps: [
            step("look", Picture::Dots.new("domino", [first, second]),
                 first == second ? "What do you see?" : "Which is the larger?"),
            step("check", line([first, second].max, jump(first, second)),
                 "From #{[first, second].max}, count only the jumps."),
            step("write", covered(total), on_mat(total), equation: "#{first} + #{second} = #{total}")
          ]
        )
      end

      # @return [Hash] what stands on the mat, the chance of each total, and how many throws fill the mat
      def figures
        wanted = mat.tally
        { mat: mat, chances: chances.map { |total, chance| { total: total, chance: chance.to_f } },
          expected: Collector.new(chances.slice(*wanted.keys), wanted).expected.to_f }
      end

      def notes(seen)
        often = chances.values.max
        covered = seen.map { |data| data[:faces].sum }
        left = covered.tally.reduce(mat.tally) do |all, (total, times)|
          all.merge(total => [all[total].to_i - times, 0].max)
        end
        most = chances.select { |_, chance| chance == often }.keys.join(" and ")
        ["#{most} comes most often, #{(often * 100).round} times in 100.",
         "About #{figures[:expected].round} throws until the mat is full.",
         "Still needed: #{left.flat_map { |total, times| [total] * times }.join(', ')}."]
      end

      # @return [Array<Integer>] the totals on the mat, smallest first
      def mat = @mat ||= (option(:places) < chances.size ? remainders : each_once).sort

      private

      def limits = "dice show #{faces.min} to #{faces.max}"
      def remade(_data, *shown) = (thrown(shown) if shown.all? { |face| faces.cover?(face) })

      def faces = Range.new(*option(:dice).split("-").map(&:to_i))
      def thrown(shown) = { faces: shown, mat: mat }

      def chances
        @chances ||= faces.to_a.product(faces.to_a).map(&:sum).tally.sort
                          .to_h { |total, times| [total, Rational(times, faces.size**2)] }
      end

      def quotas = chances.transform_values { |chance| chance * option(:places) }

      # Too few places for all totals: the largest remainder, of equals the smaller total.
      def remainders
        whole = quotas.flat_map { |total, quota| [total] * quota.floor }
        rest = quotas.sort_by { |total, quota| [quota.floor - quota, total] }.map(&:first)
        whole + rest.first(option(:places) - whole.size)
      end

      # Each once, then again and again the one that is furthest behind its share.
      def each_once
        (option(:places) - chances.size).times.reduce(chances.keys) do |placed, _|
          placed + [chances.keys.max_by { |total| [quotas[total] - placed.count(total), -total] }]
        end
      end

      def jump(first, second) = first.zero? || second.zero? ? [] : [first + second]

      def covered(total)
        Picture::Track.new(mat, covered: [mat.index(total)].compact,
                                row: option(:places) == 16 ? 4 : option(:places) / 3)
      end

      def on_mat(total)
        if mat.include?(total)
          "Cover #{total}, if it is free."
        else
          "#{total} is not on the mat. " \
            "Throw again."
        end
      end
    end
  end
end
