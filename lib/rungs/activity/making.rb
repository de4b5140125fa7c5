# frozen_string_literal: true

module Rungs
  module Activity
    # What the items of an activity are made of: steps, and pictures as the class has them.
    module Making
      private

      # An item begins with its own question, at what is there to be seen then.
      # @param shown [Picture::Kind, Picture::Layout, nil] nil where nothing is asked
      # @param tell [String, nil] what the teacher alone is told with it
      # @param waits [Boolean] whether that picture is hidden until it is asked for
      # @param paper [Hash] as Item has it
      def make(ask:, answer:, data:, steps:, shown: nil, tell: nil, waits: nil, falls: nil, problem: nil,
               equation: problem&.to_s, posing: {}, paper: {})
        first = shown && step("ask", shown, ask, tell: tell || answered(answer), asked: waits, falls: falls)
        Item.new(ask: ask, answer: answer, problem: problem, equation: in_words(equation), data: data,
                 steps: [first, *steps].compact, posing: { story: "", **posing }, paper: paper)
      end

      def answered(answer) = ("Answer: #{answer}." if answer)

      def sentence_picture(text) = Picture::Sentence.new(in_words(text))

      # What a step is called where it is not said.
      TITLES = { "ask" => "Ask", "look" => "Look", "check" => "Check", "write" => "Write it" }.freeze

      # @param shown [Picture::Kind, Picture::Layout]
      def step(name, shown, words, title: TITLES.fetch(name), equation: nil, **more)
        layout = shown.is_a?(Picture::Layout) ? shown : shown.layout
        written = in_words(equation)
        Step.new(name: name, title: title, layout: layout, words: words, equation: written, minus: settings[:minus],
                 **more)
      end

      # How pictures are drawn for the class.
      def pictured = settings.slice(*Picture::Staging::USUAL.keys)

      def problem(text) = Problem::Equation.parse(text).to_problem

      # So many different things, in an order that is not that of counting.
      def mixed(things, count, random)
        taken = things.sample(count, random: random)
        return taken if taken.size < 3

        taken = taken.rotate(1) while taken == taken.sort || taken == taken.sort.reverse
        taken
      end

      def frame(parts, **more) = Picture::Frame.new(parts, fill: settings[:fill], **more)
      def objects(parts, thing, **more) = Picture::Objects.new(parts, thing: thing, **more)

      # To be coloured.
      def outlined(number, thing)
        layout = objects([number], thing).layout
        layout.with(marks: layout.marks.map { |mark| Picture::Mark.new(**mark.to_h, tone: :b, group: 1) })
      end

      def parts(numbers, **more) = Picture::Parts.new(numbers, place: settings[:whole], **more)

      # A line with its jumps, as long as the numbers need.
      def line(start, jumps = [], **more)
        Picture::Line.new(to: Picture::Line.reach([start, *jumps].max), start: start, jumps: jumps, **more)
      end
    end
  end
end
