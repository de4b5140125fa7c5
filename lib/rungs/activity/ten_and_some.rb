# frozen_string_literal: true

module Rungs
  module Activity
    # A full frame is ten, and is not counted again: one ten and some ones.
    class TenAndSome < Kind
      entry id: "ten_and_some", title: "Ten and some", minutes: 7, finds: %w[tens], usual: 5,
            paper: { recording: "frame", cutouts: %w[place_value frames] },
            i_can: "I can say a teen number as ten and some ones.",
            materials: [Material.pieces(19, "counters", per: "child", instead: "buttons, pasta, bread tags"),
                        Material.new(thing: "frame", per: "child", count: 1,
                                     instead: "one drawn on paper")],
            suits: { both: %w[teens], rungs: [1, 2, 3] },
            cautions: %w[small_things],
            listen_for: { "count_all" => "counts the full frame again from one",
                          "count_on" => "“ten … eleven, twelve, thirteen”",
                          "part_whole" => "“one ten and three ones”", "known_fact" => "“thirteen” at once, and why" },
            slips: %w[digits_as_ones ten_written_out teen_turned],
            easier: "Build, to fifteen.", harder: "Break up, and build from words only."

      option "form", "Do", %w[build break_up]
      by_hand("the number") { |data| [data[:number]] }

      def self.sets_for(aim) = super.map { |set| { **set, "form" => aim.operation == "add" ? "build" : "break_up" } }

      def self.reach(_chosen) = 19

      NUMBERS = (11..19)
      HIDDEN_TEN = [11, 12].freeze
      WITH_HIDDEN = 4

      def most = NUMBERS.size

      # Eleven and twelve hide their ten: one of them is among any four.
      def draw(random, count)
        numbers = mixed(NUMBERS.to_a, count, random)
        if count >= WITH_HIDDEN && !numbers.intersect?(HIDDEN_TEN)
          numbers[random.rand(1...count)] = HIDDEN_TEN.sample(random: random)
        end
        numbers.map { |number| { number: number, ones: number - 10 } }
      end

      def problem_of(data) = problem(option(:form) == "build" ? "10 + #{data[:ones]} = ?" : "10 + ? = #{data[:number]}")

      def item(data)
        number, ones = data.values_at(:number, :ones)
        said = "#{number} is one ten and #{many(ones, 'one')}."
        asked = asked(number, ones)
        make(**asked, data: data, steps: [
          step("look", asked[:shown],
               build? ? "Fill a frame of ten. Put the ones beside it." : "Fill a frame of ten first."),
          step("check", frame([10, ones], size: 20), "A full frame is ten, and #{are(ones)} beside it.",
               title: "On frames"),
          step("check", Picture::Bundles.new([number]), said, title: "Ten and ones"),
          step("write", Picture::Bundles.new([number], style: :cards), said, equation: "10 + #{ones} = #{number}")
        ])
      end

      private

      def limits = "it takes #{NUMBERS.min} to #{NUMBERS.max}"
      def remade(_data, number) = ({ number: number, ones: number - 10 } if NUMBERS.cover?(number))

      def build? = option(:form) == "build"

      # To build: ten and some, still apart. To break up: the number in a heap.
      def asked(number, ones)
        if build?
          return { ask: "One ten and #{many(ones, 'one')}: which number?", answer: number,
                   problem: problem_of({ number: number, ones: ones }), shown: objects([10, ones], "counter") }
        end

        { ask: "#{number} is ten and how many ones?", answer: ones, problem: problem_of({ number: number, ones: ones }),
          shown: objects([number], "counter", heap: true) }
      end
    end
  end
end
