# frozen_string_literal: true

module Rungs
  module Picture
    class Hands
      # The place above a tower puts a cube on, its top cube comes off.
      class Cubes
        MOST = 20

        def initialize(towers)
          @towers = towers
        end

        # With room for one more cube above.
        def layout
          from = @towers.layout
          Layout.new(width: from.width, height: from.height + 1, marks: from.marks.map { |mark| mark.shifted(0, 1) },
                     alt: from.alt)
        end

        # For each tower the place above it, then its top cube.
        def places
          return [] unless @towers.apart?

          heights.each_with_index.flat_map do |high, tower|
            top = heights.max - high
            [top, top + 1].map { |y| Mark.new(shape: :place, x: tower * Towers::APART, y: [y, heights.max].min) }
          end
        end

        def press(place)
          tower, off = place.divmod(2)
          high = (heights[tower] + (off.zero? ? 1 : -1)).clamp(0, MOST)
          changed = heights.dup.tap { |all| all[tower] = high }
          changed.sum.zero? || changed.sum > 2 * MOST ? self : Cubes.new(Towers.new(changed))
        end

        def sentence = Hands.sum(heights)

        private

        def heights = @towers.parts
      end
    end
  end
end
