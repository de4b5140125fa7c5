# frozen_string_literal: true

module Rungs
  module Picture
    # A row of one story thing in fives, or a heap; each part in rows of its own. Each is ticked once it is counted,
    # struck through where it is taken, or moved away.
    class Objects
      include Kind

      settings :thing, :struck, :ticked, :moved, :heap, :across, :joined, :cup, :covered

      ROW = 10
      GAP = 0.35
      AWAY = 1.6

      def self.of(problem, thing: "counter", struck: 0, **)
        problem.whole <= 40 ? new(problem.shown_parts, thing: thing, struck: struck) : nil
      end

      # Where everything is counted: things put out, ticked as they are counted, moved off as they leave.
      def self.acts?(path, problem) = path.rung == 1 && problem.whole <= 20 && problem.shape != :both_sides

      def self.stage(scene, thing: "counter", **)
        new(scene.parts, thing: thing, ticked: scene.counted ? scene.total : 0, moved: scene.taken)
      end

      # @param parts [Array<Integer>] how many of each kind
      # @param thing [String, Array<String>] what they are ("red kite"), or what each part is
      # @param struck [Integer] how many of the last are struck through
      # @param ticked [Integer] how many, from the first, were counted
      # @param moved [Integer] how many of the last have moved away
      # @param heap [Boolean] scattered rather than in rows
      # @param across [Boolean] each part a column of its own, side by side
      # @param joined [Boolean] pushed together into one row, each part still of its own kind
      # @param cup [Boolean] a cup stands beside them, with the rest in it
      # @param covered [Boolean] the first part lies under a cover that has its number
      # @raise [Error::NotAProblem]
      def initialize(parts, thing: "counter", struck: 0, ticked: 0, moved: 0, heap: false, across: false,
                     joined: false, cup: false, covered: false)
        gone = [struck, moved, ticked].max
        refuse "#{gone} cannot leave when there are #{parts.sum}" if gone > parts.sum
        refuse "100 things at most" if parts.sum > 100

        @parts = parts
        @things = Array(thing)
        @struck = struck
        @ticked = ticked
        @moved = moved
        @heap = heap
        @across = across
        @joined = joined
        @cup = cup
        @covered = covered
      end

      # @return [Layout]
      def layout = lay(objects + cups, alt)

      def ways
        fives, rest = @parts.sum.divmod(5)
        by_fives = @parts.size == 1 ? [*[5] * fives, rest] : []
        Way.sums(@parts, by_fives)
      end

      private

      # Each part below the one before; a part of nothing is an empty mat.
      def objects
        top, order = 0, 0
        @parts.each_with_index.flat_map do |number, group|
          set = (0...number).map { |index| object(index, group, top, order += 1) }
          set = [mat(0, top, height: 1)] if number.zero? && !@cup && !@joined
          set = [cover(number, top)] if @covered && group.zero?
          top += [(number / ROW.to_f).ceil, 1].max + GAP
          set
        end
      end

      def cover(number, top)
        mark(:cover, x: 0, y: top, width: [number, ROW].min + GAP, height: (number / ROW.to_f).ceil, text: number.to_s)
      end

      def cups = @cup ? [mark(:cup, x: [@parts.max, ROW].min + 1, y: 0, width: 2, height: 2)] : []

      def object(index, group, top, order)
        x, y = @across ? [group * (1 + GAP), index] : place(index, top, order)
        x, y = place(order - 1, 0, order) if @joined
        away = order > @parts.sum - @moved
        mark(:thing, x: x, y: y + (away ? AWAY : 0), tone: tone(group), group: group, order: order,
                     text: @things[group] || @things.last,
                     from: ([x, y] if away), state: state(order, away))
      end

      def tone(group) = group.even? ? :a : :b

      def place(index, top, order)
        column, row = index % ROW, index / ROW
        x, y = column + (column >= 5 ? GAP : 0), top + row
        @heap ? [x + jitter(order, 7), y + jitter(order, 13)] : [x, y]
      end

      def state(order, away)
        return :moved if away
        return :struck if order > @parts.sum - @struck

        :ticked if order <= @ticked
      end

      # A heap, but the same heap each time: up to a quarter of a unit off its place.
      def jitter(order, factor) = (((order * factor * 37) % 11) / 44.0)

      def lying
        return "a heap" if @heap
        return "one row together" if @joined

        @across ? "columns" : "rows"
      end

      def alt
        shown = [("the rest in a cup" if @cup), ("the first covered" if @covered),
                 ("#{@ticked} counted" if @ticked.positive?),
                 ("#{@struck} struck through" if @struck.positive?),
                 ("#{@moved} moved away" if @moved.positive?)].compact
        "#{@parts.join(' and ')} in #{lying}#{", #{shown.join(', ')}" if shown.any?}"
      end
    end
  end
end
