# frozen_string_literal: true

module Rungs
  module Picture
    # Five-, ten- and double-ten-frames, and those of 15 (three rows) and 30 (three tens). Filled left to right, top row
    # first (by fives), or two by two in columns (by pairs). Two addends get two kinds of counter. Taking away strikes out
    # the last counters placed, so that what remains keeps its shape.
    #
    #   Frame.new([9, 5]).layout.counters.size  # => 14
    class Frame
      include Kind

      SIZES = [5, 10, 15, 20, 30].freeze
      GAP = 0.7

      attr_reader :parts, :size, :fill, :struck

      def self.title = "Ten-frame"

      def self.of(problem, fill: :fives, struck: 0, **)
        shown = problem.shown_parts
        shown.sum <= 30 && shown.size <= 2 ? new(shown, fill: fill, struck: struck) : nil
      end

      # Making ten on two frames: each part on its own frame, then the counters that move across; going back through ten:
      # what is crossed out first, and then.
      def self.act(path, problem, fill: :fives, **)
        return [] unless problem.whole <= 20 && path.rung == 4

        problem.add? ? gather(problem, fill) : take(path, problem, fill)
      end

      def self.gather(problem, fill)
        return [new(problem.parts, fill: fill).layout] if problem.whole == 10

        apart = new([problem.larger, problem.smaller], size: 20, fill: fill, apart: true)
        [apart.layout, apart.layout(moved: 10 - problem.larger)]
      end

      def self.take(path, problem, fill)
        whole = ->(struck, first: false) { new([problem.whole], fill: fill, struck: struck, strike_first: first).layout }
        return [whole.call(0), whole.call(problem.given, first: true)] if path.move.id == "ten_minus"
        if path.move.id == "up_through_ten_to"
          return [new([problem.given], size: 20, fill: fill).layout, new([problem.given, 10 - problem.given], size: 20, fill: fill).layout,
new([problem.given, problem.sought], size: 20, fill: fill).layout]
        end

        [0, problem.whole - 10, problem.given].uniq.map { |struck| whole.call(struck) }
      end
      private_class_method :gather, :take

      # @param parts [Array<Integer>] how many of each kind
      # @param size [Integer, nil] places; by default 10, or as many as are needed
      # @param fill [Symbol] :fives or :pairs
      # @param struck [Integer] how many are crossed out, the last of them (or the first)
      # @param apart [Boolean] the second part on a frame of its own
      # @raise [Error::NotAProblem] where they do not fit
      def initialize(parts, size: nil, fill: :fives, struck: 0, strike_first: false, apart: false)
        @parts = parts
        @size = size || [10, 20, 30].find { |each| each >= parts.sum }
        @fill = one_of(%i[fives pairs], fill)
        @struck = struck
        @strike_first = strike_first
        @apart = apart
        refuse "#{parts.sum} counters do not fit into a frame of #{@size || SIZES.max}" unless SIZES.include?(@size) && parts.sum <= @size
        refuse "#{struck} cannot leave when there are #{parts.sum}" if struck > parts.sum
      end

      # @param moved [Integer] how many of the second part have moved to the places left in the first frame
      # @return [Layout]
      def layout(moved: 0) = lay(cells + counters(moved), alt(moved))

      # A frame of 7 is 5 and 2 (or 4 and 3 by pairs, as two rows), and 10 less 3.
      def ways
        total = parts.sum
        rows = fill == :pairs ? [(total / 2.0).ceil, total / 2] : total.divmod(5).then { |fives, rest| ([5] * fives) + [rest] }
        [rows.reject(&:zero?), parts.reject(&:zero?)].select { |sizes| sizes.size > 1 }.uniq.map { |sizes| fill == :pairs && sizes == rows ? by_rows(sizes) : Way.sum(*sizes) } +
          (total < size && total.positive? && size - total < 5 ? [Way.less(size, size - total)] : [])
      end

      # @return [Array<Array(Numeric, Integer)>] column and row of each place, in the order of filling
      def places = @places ||= (0...size).map { |slot| size == 15 ? [slot % 5, slot / 5] : place(slot % 10, slot / 10) }

      private

      # By pairs the two rows are the odd and the even places.
      def by_rows(sizes)
        odd, even = [*1..parts.sum].partition(&:odd?)
        Way.new(text: sizes.join(" + "), groups: [odd, even])
      end

      def place(slot, frame)
        column, row = fill == :pairs && size > 5 ? [slot / 2, slot % 2] : [slot % 5, slot / 5]
        [(frame * (5 + GAP)) + column, row]
      end

      def cells = places.map { |x, y| mark(:cell, x: x, y: y) }

      def counters(moved)
        kinds = parts.each_with_index.flat_map { |count, group| [group] * count }
        kinds.each_with_index.map do |group, index|
          x, y = places[slot(index, moved)]
          mark(:counter, x: x, y: y, tone: group.even? ? :a : :b, group: group, order: index + 1, state: state(index, moved), from: origin(index, moved))
        end
      end

      # Where the index-th counter lies: apart, the second part starts on the second frame until it has moved.
      def slot(index, moved)
        beyond = index - parts[0]
        return index if !@apart || beyond.negative?

        staying = parts[1] - moved
        beyond < staying ? 10 + beyond : parts[0] + (beyond - staying)
      end

      # The last of the second frame are those that fill the first.
      def state(index, moved)
        return :moved if origin(index, moved)

        struck = @strike_first ? index < @struck : index >= parts.sum - @struck
        struck ? :struck : nil
      end

      def origin(index, moved)
        beyond = index - parts[0]
        places[10 + beyond] if @apart && moved.positive? && beyond >= parts[1] - moved
      end

      def alt(moved)
        filled = parts.sum.zero? ? "empty" : parts.join(" and ")
        "#{size == 20 ? 'Two ten-frames' : "A frame of #{size}"}: #{filled}#{", #{struck} crossed out" if struck.positive?}#{", #{moved} moved across to fill the ten" if moved.positive?}"
      end
    end
  end
end
