# frozen_string_literal: true

module Rungs
  module Own
    # A part of a lesson as its teacher wrote it: what to say, a line each; number sentences, each an item; a picture
    # for them; what to bring; a caution.
    #
    #   Own::Part.read("title" => "Clap it", "minutes" => "5", "lines" => "Clap!\n(Wait.)", "sentences" => "7 + 5 = ?")
    class Part < Written.of(:title, :minutes, :lines, :sentences, :picture, :bring, :caution)
      writes "part", "A part of your own"

      # Letters of a title, of a line; lines; sentences; things to bring; minutes.
      TITLE = 60
      LINE = 200
      LINES = 40
      SENTENCES = 30
      THINGS = 20
      MINUTES = (1..60)
      # A line in brackets is for the tablet alone.
      ASIDE = /\A\((.+)\)\z/
      # A thing to bring with how many: "12 dice".
      COUNTED = /\A(\d{1,3}) (.+)\z/

      class << self
        def checked(typed)
          { title: typed.text("title", "the title", most: TITLE),
            minutes: typed.number("minutes", "the time in minutes", MINUTES),
            lines: typed.lines("lines", "what to say", most: LINES, letters: LINE),
            sentences: sentences(typed),
            picture: typed.choice("picture", "picture", Activity::OWN::PICTURES),
            bring: typed.lines("bring", "what to bring", most: THINGS, letters: TITLE),
            caution: typed.text("caution", "the caution", most: LINE, needed: false) }
        end

        private

        def sentences(typed)
          typed.lines("sentences", "the number sentences", most: SENTENCES, letters: TITLE).map do |line|
            Problem::Equation.parse(line).to_problem.to_s
          rescue Error => e
            typed.fault("“#{line}”: #{e.message}")
          end
        end
      end

      # @return [Array<Hash>] the data of its items
      def items = Activity::OWN.written(lines.map { |line| turn(line) }, sentences, title: title)

      # @return [Array<Activity::Material>]
      def materials
        bring.map do |line|
          count, thing = COUNTED.match(line)&.captures
          Activity::Material.new(thing: thing || line, per: "class", count: count && Integer(count, 10))
        end
      end

      # In a line, for a list.
      def said = [title, *lines.first].join(": ")
      def json_fields = to_h.compact.transform_keys(&:to_s)

      private

      def turn(line) = line.match?(ASIDE) ? { tell: line[ASIDE, 1] } : { say: line }
    end
  end
end
