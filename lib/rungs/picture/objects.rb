# frozen_string_literal: true

module Rungs
  module Picture
    # A row of one story thing in fives, or a heap; each part in rows of its own. Each can be struck through once
    # counted, or moved away.
    class Objects
      include Kind

      ROW = 10
      GAP = 0.35

      def self.of(problem, thing: "counter", struck: 0, **) = problem.whole <= 40 ? new(problem.shown_parts, thing: thing, struck: struck) : nil

      # Counting all: struck through as they are counted. Taking away: those that leave move off.
      def self.act(path, problem, thing: "counter", **)
        return [] unless path.rung == 1 && problem.whole <= 20
        return [new(problem.parts, thing: thing).layout, new(problem.parts, thing: thing, struck: problem.whole).layout] if problem.add?
        return [new([problem.whole, problem.given], thing: thing).layout] if path.move.id == "all_match"
        return [[problem.given], problem.parts.minmax_by { |part| part == problem.given ? 0 : 1 }].map { |parts| new(parts, thing: thing).layout } if path.move.id == "all_build_up"

        [new([problem.whole], thing: thing).layout, new([problem.whole], thing: thing, moved: problem.given).layout]
      end

      # @param parts [Array<Integer>] how many of each kind
      # @param thing [String] what they are ("kites")
      # @param struck [Integer] how many of the last are struck through
      # @param moved [Integer] how many of the last have moved away
      # @param heap [Boolean] scattered rather than in rows
      # @raise [Error::NotAProblem]
      def initialize(parts, thing: "counter", struck: 0, moved: 0, heap: false)
        refuse "#{[struck, moved].max} cannot leave when there are #{parts.sum}" if [struck, moved].max > parts.sum

        refuse "100 things at most" if parts.sum > 100

        @parts = parts
        @thing = thing
        @struck = struck
        @moved = moved
        @heap = heap
      end

      # @return [Layout]
      def layout = lay(objects, alt)

      def ways
        fives = @parts.sum.divmod(5).then { |full, rest| ([5] * full) + (rest.zero? ? [] : [rest]) }
        [@parts.reject(&:zero?), (@parts.size == 1 ? fives : [])].select { |sizes| sizes.size > 1 }.map { |sizes| Way.sum(*sizes) }
      end

      private

      def objects
        top, order = 0, 0
        @parts.each_with_index.flat_map do |number, group|
          set = (0...number).map { |index| object(index, group, top, order += 1) }
          top += (number / ROW.to_f).ceil + GAP if number.positive?
          set
        end
      end

      def object(index, group, top, order)
        column, row = index % ROW, index / ROW
        x, y = column + (column >= 5 ? GAP : 0), top + row
        x, y = x + jitter(order, 7), y + jitter(order, 13) if @heap
        away = order > @parts.sum - @moved
        mark(:thing, x: x, y: y + (away ? 1.6 : 0), tone: group.even? ? :a : :b, group: group, order: order, text: @thing, from: ([x, y] if away), state: state(order, away))
      end

      def state(order, away)
        return :moved if away

        order > @parts.sum - @struck ? :struck : nil
      end

      # A heap, but the same heap each time: up to a quarter of a unit off its place.
      def jitter(order, factor) = (((order * factor * 37) % 11) / 44.0)

      def alt = "#{@parts.join(' and ')} in #{@heap ? 'a heap' : 'rows'}#{", #{@struck} struck through" if @struck.positive?}#{", #{@moved} moved away" if @moved.positive?}"
    end
  end
end
