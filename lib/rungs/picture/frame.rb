# frozen_string_literal: true

module Rungs
  module Picture
    # Five-, ten- and double-ten-frames, and those of 15 (three rows) and 30 (three tens). Filled left to right, top row
    # first (by fives), or two by two in columns (by pairs). Two addends get two kinds of counter. Taking away strikes
    # out the last counters placed, so that what remains keeps its shape.
    #
    #   Frame.new([9, 5]).layout.counters.size  # => 14
    class Frame
      include Kind

      settings :size, :fill, :struck, :strike_first, :apart, :moved, :card, :covered

      SIZES = [5, 10, 15, 20, 30].freeze
      TENS = [10, 20, 30].freeze
      FILLS = %i[fives pairs].freeze
      GAP = 0.7

      attr_reader :parts, :size, :fill, :struck

      def self.title = "Ten-frame"
      def self.called_by = "frame"

      def self.of(problem, fill: :fives, struck: 0, **)
        shown = problem.shown_parts
        shown.sum <= 30 && shown.size <= 2 ? new(shown, fill: fill, struck: struck) : nil
      end

      # Each part on its own frame where counters move across to fill the first.
      def self.stage(scene, largest:, fill: :fives, **)
        return if largest > 30 || scene.parts.size > 2 || scene.counted || scene.matched
        return if scene.apart && (scene.parts[0] > 10 || largest > 20)

        new(scene.parts, size: TENS.find do |each|
          each >= largest
        end, fill: fill, struck: scene.taken, strike_first: scene.of_first,
                         apart: scene.apart, moved: scene.moved)
      end

      # @param parts [Array<Integer>] how many of each kind
      # @param size [Integer, nil] places; by default 10, or as many as are needed
      # @param fill [Symbol] :fives or :pairs
      # @param struck [Integer] how many are crossed out, the last of them (or the first)
      # @param apart [Boolean] the second part on a frame of its own
      # @param moved [Integer] how many of the second part have moved to the places left in the first frame
      # @param card [Boolean] a card hides the places that are empty
      # @param covered [Integer] how many counters, the last of them, a card hides
      # @raise [Error::NotAProblem] where they do not fit
      def initialize(parts, size: nil, fill: :fives, struck: 0, strike_first: false, apart: false, moved: 0,
                     card: false, covered: 0)
        @parts = parts
        @size = size || TENS.find { |each| each >= parts.sum }
        @fill = one_of(FILLS, fill, "way of filling")
        @struck = struck
        @strike_first = strike_first
        @apart = apart
        @moved = moved
        @card = card
        @covered = covered
        fits = SIZES.include?(@size) && parts.sum <= @size
        refuse "#{parts.sum} counters do not fit into a frame of #{@size || SIZES.max}" unless fits
        refuse "#{struck} cannot leave when there are #{parts.sum}" if struck > parts.sum
      end

      # @return [Layout] with room above and below for what moves across, also before it moves
      def layout
        marks = cells + counters + cards
        return lay(marks, alt) unless @apart

        lower = lay(marks.map { |each| each.shifted(0, Mark::BOW) }, alt)
        lower.with(height: lower.height + Mark::BOW)
      end

      # A frame of 7 is 5 and 2 (or 4 and 3 by pairs, as two rows), and 10 less 3.
      def ways
        shown = [rows, parts.reject(&:zero?)].select { |sizes| sizes.size > 1 }.uniq
        shown.map { |sizes| fill == :pairs && sizes == rows ? by_rows(sizes) : Way.sum(*sizes) } + less
      end

      # @return [Array<Array(Numeric, Integer)>] column and row of each place, in the order of filling
      def places = @places ||= (0...size).map { |slot| size == 15 ? [slot % 5, slot / 5] : place(slot % 10, slot / 10) }

      private

      def total = parts.sum

      def rows
        return [(total / 2.0).ceil, total / 2].reject(&:zero?) if fill == :pairs

        fives, rest = total.divmod(5)
        [*[5] * fives, rest].reject(&:zero?)
      end

      # By pairs the two rows are the odd and the even places.
      def by_rows(sizes)
        odd, even = [*1..total].partition(&:odd?)
        Way.new(text: sizes.join(" + "), groups: [odd, even])
      end

      # By what is missing, where that is little.
      def less
        missing = size - total
        total.positive? && missing.between?(1, 4) ? [Way.less(size, missing)] : []
      end

      def place(slot, frame)
        column, row = fill == :pairs && size > 5 ? [slot / 2, slot % 2] : [slot % 5, slot / 5]
        [(frame * (5 + GAP)) + column, row]
      end

      def cells = places.map { |x, y| mark(:cell, x: x, y: y) }

      def cards
        hidden = @card ? places.drop(total) : places[total - @covered, @covered]
        hidden.map { |x, y| mark(:card, x: x, y: y, width: 1, height: 1) }
      end

      def counters
        kinds = parts.each_with_index.flat_map { |count, group| [group] * count }
        kinds.each_with_index.map do |group, index|
          x, y = places[slot(index)]
          mark(:counter, x: x, y: y, tone: group.even? ? :a : :b, group: group, order: index + 1, state: state(index),
                         from: origin(index), points: route(index))
        end
      end

      # How it went: above the frames or below them, so that its way crosses no counter. Ways that go together lie a
      # little apart. GHOST, CLEAR: how far a way keeps off the middle it leaves and the one it comes to.
      OUT = 0.3
      BESIDE = 0.1
      GHOST = 0.31
      CLEAR = 0.42
      private_constant :OUT, :BESIDE, :GHOST, :CLEAR

      def route(index)
        (column, row), (to, down) = origin(index) || return, places[slot(index)]
        apart = BESIDE * (total - 1 - index)
        gap, start, goal = 5 + (GAP / 2) + apart - BESIDE, column + 0.5, to + 0.5
        [[start, row + 0.5 + off(row, GHOST)], [start, outside(row, apart)],
         *([[gap, outside(row, apart)], [gap, outside(down, apart)]] if row != down),
         [goal, outside(down, apart)], [goal, down + 0.5 + off(down, CLEAR)]]
      end

      def off(row, by) = row.zero? ? -by : by
      def outside(row, apart) = row.zero? ? -OUT - apart : 2 + OUT + apart

      # Where the index-th counter lies: apart, the second part starts on the second frame until it has moved.
      def slot(index)
        beyond = index - parts[0]
        return index if !@apart || beyond.negative?

        staying = parts[1] - @moved
        beyond < staying ? 10 + beyond : parts[0] + (beyond - staying)
      end

      # The last of the second frame are those that fill the first.
      def state(index)
        return :moved if origin(index)

        gone = @strike_first ? index < @struck : index >= total - @struck
        gone ? :struck : nil
      end

      def origin(index)
        beyond = index - parts[0]
        places[10 + beyond] if @apart && @moved.positive? && beyond >= parts[1] - @moved
      end

      def alt
        name = size == 20 ? "Two ten-frames" : "A frame of #{size}"
        filled = total.zero? ? "empty" : parts.reject(&:zero?).join(" and ")
        gone = ", #{struck} crossed out" if struck.positive?
        moved = ", #{@moved} moved across to fill the ten" if @moved.positive?
        covered = ", #{@covered} covered" if @covered.positive?
        "#{name}: #{filled}#{gone}#{moved}#{covered}#{', the rest hidden by a card' if @card}"
      end
    end
  end
end
