# frozen_string_literal: true

module Rungs
  module Picture
    # A number line (marks, or its tens alone), a number track (numbered cells), or an open line with no marks; a start
    # dot and numbered jumps, forward or back. Jumps are as long as what they jump. Jumps are counted, the start is not.
    class Line
      Rungs.shelve self
      include Kind
      include Drawn

      settings :from, :to, :start, :jumps, :style

      ENDS = [10, 20, 100].freeze
      STYLES = { line: "A number line", tens: "A number line with its tens", track: "A number track",
                 open: "An open number line" }.freeze
      BASE = 2.4
      # How long a line is, in units, and the least that two numerals, or two labels of jumps, keep apart.
      LENGTH = 20.0
      SHORT = 18.0
      APART = 1.05

      def self.title = "Number line"
      def self.reach(number) = ENDS.find { |limit| limit >= number }

      def self.of(problem, **)
        return unless problem.whole <= 100

        new(to: reach(problem.whole), start: problem.add? ? problem.first : problem.shown_parts.first)
      end

      # The first number is the start, the others are where the jumps land.
      def self.from(numbers, to: reach(numbers.max) || 20, **settings)
        new(to: to, start: numbers.first, jumps: numbers.drop(1), **settings)
      end

      # Jump after jump, from landing to landing; beyond 20 on the stretch of the line where they are.
      def self.act(path, problem, style: :line, **)
        landings = path.landings
        return [] unless landings.size > 1 && path.rung != 1 && problem.whole <= 100 && problem.shape != :both_sides

        from, to = stretch(landings)
        (0...landings.size).map do |jumps|
          new(from: from, to: to, start: landings.first, jumps: landings.drop(1).take(jumps), style: style).layout
        end
      end

      # @return [Array(Integer, Integer)] where a line with these numbers begins and ends
      def self.stretch(numbers)
        return [0, reach(numbers.max)] if numbers.max <= 20

        from, to = numbers.min / 10 * 10, (numbers.max / 10.0).ceil * 10
        to - from < 10 ? [from, from + 10] : [from, to]
      end
      private_class_method :stretch

      # @param from [Integer] 0 or a ten, where it begins
      # @param to [Integer] 10, 20 or 100, or the ten where a stretch ends
      # @param start [Integer, nil] where the dot stands
      # @param jumps [Array<Integer>] where each jump lands
      # @param style [Symbol] :line, :track or :open
      # @raise [Error::NotAProblem]
      def initialize(from: 0, to: 20, start: nil, jumps: [], style: :line)
        whole_line = from.zero? ? ENDS.include?(to) || to.between?(30, 90) : to > from
        refuse "a number line ends at 10, 20 or 100" unless whole_line && (from % 10).zero? && (to % 10).zero?
        off = [start, *jumps].compact.grep_v(from..to)
        refuse "#{off.first} is not on a line #{"from #{from} " if from.positive?}to #{to}" if off.any?

        @from = from
        @to = to
        @start = start
        @jumps = jumps
        @style = one_of(STYLES.keys, style, "style")
      end

      attr_reader :start, :jumps

      # The same line with another start or other jumps.
      def with(start: @start, jumps: @jumps)
        Line.new(from: @from, to: @to, start: start, jumps: jumps, style: @style)
      end

      # The numbers that can be landed on.
      def stops = @style == :track ? ticks.drop(1) : ticks.to_a

      # Where a number can be pressed.
      # @return [Mark]
      def stop(number)
        wide = x(stops[1]) - x(stops[0])
        Mark.new(shape: :place, x: at(number) - (wide / 2), y: BASE - 0.6, width: wide, height: 1.8,
                 text: "to #{number}")
      end

      # @return [Layout]
      def layout = lay(axis + scale + arcs + dot, alt)

      # A start and its jumps: 9 + 1 + 4.
      def ways
        return [] if @jumps.empty?

        steps = [@start, *@jumps].each_cons(2).map { |from, to| to - from }
        [Way.new(text: [@start, *steps.map do |step|
          "#{step.negative? ? '−' : '+'} #{step.abs}"
        end].join(" "), groups: [])]
      end

      private

      def span = @to - @from
      def unit = (span == 10 ? SHORT : LENGTH) / span
      def x(number) = 0.5 + ((number - @from) * unit)

      # Where one stands on a number: on its tick, or in the middle of its cell.
      def at(number) = @style == :track ? x(number) - (unit / 2) : x(number)
      def stood_on = [@start, *@jumps].compact.uniq

      def alt
        reach = @from.zero? ? "to #{@to}" : "from #{@from} to #{@to}"
        start = ", starting at #{@start}" if @start
        jumps = ", jumps to #{@jumps.join(', then ')}" if @jumps.any?
        "#{STYLES.fetch(@style)} #{reach}#{start}#{jumps}"
      end
    end
  end
end
