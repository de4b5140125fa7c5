# frozen_string_literal: true

module Rungs
  module Picture
    # A number line (marks), a number track (numbered cells), or an open line with no marks; a start dot and numbered jumps,
    # forward or back. Jumps are as long as what they jump. Jumps are counted, the start is not.
    class Line
      include Kind

      ENDS = [10, 20, 100].freeze
      BASE = 2.4

      def self.title = "Number line"
      def self.reach(number) = ENDS.find { |limit| limit >= number }

      def self.of(problem, **)
        return unless problem.whole <= 100

        new(to: reach(problem.whole), start: problem.add? ? problem.first : problem.shown_parts.first)
      end

      # The first number is the start, the others are where the jumps land.
      def self.from(numbers, to: reach(numbers.max) || 20, **settings) = new(to: to, start: numbers.first, jumps: numbers.drop(1), **settings)

      # Jump after jump, from landing to landing.
      def self.act(path, problem, style: :line, **)
        landings = path.landings
        steps = landings.each_cons(2).map { |one, after| after <=> one }.uniq
        return [] unless steps.size == 1 && !steps.first.zero? && path.rung != 1 && problem.whole <= 100

        (0...landings.size).map { |jumps| new(to: reach(landings.max), start: landings.first, jumps: landings.drop(1).take(jumps), style: style) }.map(&:layout)
      end

      # @param to [Integer] 10, 20 or 100, where it ends
      # @param start [Integer, nil] where the dot stands
      # @param jumps [Array<Integer>] where each jump lands
      # @param style [Symbol] :line, :track or :open
      # @raise [Error::NotAProblem]
      def initialize(to: 20, start: nil, jumps: [], style: :line)
        refuse "a number line ends at 10, 20 or 100" unless ENDS.include?(to)
        refuse "#{[start, *jumps].compact.max} is not on a line to #{to}" unless [start, *jumps].compact.all? { |number| number.between?(0, to) }

        @to = to
        @start = start
        @jumps = jumps
        @style = one_of(%i[line track open], style)
      end

      # @return [Layout]
      def layout = lay(axis + scale + arcs + dot, alt)

      # A start and its jumps: 9 + 1 + 4.
      def ways
        return [] if @jumps.empty?

        steps = [@start, *@jumps].each_cons(2).map { |from, to| to - from }
        [Way.new(text: [@start, *steps.map { |step| "#{step.negative? ? '−' : '+'} #{step.abs}" }].join(" "), groups: [])]
      end

      private

      def unit = @to == 100 ? 0.24 : (@to == 10 ? 1.8 : 1.0) # rubocop:disable Style/NestedTernaryOperator
      def x(number) = 0.5 + (number * unit)
      def stood_on = [@start, *@jumps].compact

      def axis
        return [] if @style == :track

        [mark(:segment, x: 0, y: BASE, width: x(@to) + 0.5, height: 0, points: [[x(0), BASE], [x(@to), BASE]])]
      end

      def scale
        case @style
        when :track then (1..@to).map { |number| mark(:cell, x: x(number - 1), y: BASE, width: unit, height: 1) } + (1..@to).map do |number|
  numeral(number, x(number - 1) + (unit / 2), BASE + 0.5)
end
        when :open then stood_on.uniq.flat_map { |number| [tick(number, true), numeral(number, x(number), BASE + 0.82)] }
        else (0..@to).step(step).flat_map { |number| [tick(number, (number % 5).zero?), *([numeral(number, x(number), BASE + 0.82)] if shown?(number))] } + off_scale
        end
      end

      def step = @to == 100 ? 5 : 1
      def shown?(number) = @to < 100 || (number % 10).zero? || stood_on.include?(number)

      # Numbers stood on between the ticks of a line to 100.
      def off_scale = @to == 100 ? stood_on.uniq.reject { |number| (number % step).zero? }.map { |number| numeral(number, x(number), BASE + 0.82) } : []

      def tick(number, long)
        size = long ? 0.28 : 0.16
        mark(:segment, x: x(number), y: BASE - size, width: 0, height: size * 2, points: [[x(number), BASE - size], [x(number), BASE + size]])
      end

      def numeral(number, at, y) = number(number, at, y, width: 0, height: 0.65, state: (:new if stood_on.include?(number)))

      def arcs
        [@start, *@jumps].each_cons(2).with_index.map do |(from, to), index|
          high = [0.35 + (Math.sqrt((to - from).abs * unit) * 0.55), 2.0].min
          mark(:jump, x: [x(from), x(to)].min, y: BASE - high, width: (x(to) - x(from)).abs, height: high, order: index + 1, tone: :b,
                      points: [[x(from), track_top], [(x(from) + x(to)) / 2, track_top - (high * 1.6)], [x(to), track_top]], text: "#{to < from ? '−' : '+'}#{(to - from).abs}")
        end
      end

      def track_top = @style == :track ? BASE - 0.05 : BASE - 0.12

      def dot
        if @start
          [mark(:dot, x: x(@start) - 0.16, y: (@style == :track ? BASE - 0.3 : BASE - 0.16), width: 0.32, height: 0.32, tone: :a)]
        else
          []
        end
      end

      def alt
        jumps = @jumps.empty? ? "" : ", jumps to #{@jumps.join(', then ')}"
        "#{{ line: 'A number line', track: 'A number track', open: 'An open number line' }.fetch(@style)} to #{@to}#{", starting at #{@start}" if @start}#{jumps}"
      end
    end
  end
end
