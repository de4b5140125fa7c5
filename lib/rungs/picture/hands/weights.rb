# frozen_string_literal: true

module Rungs
  module Picture
    class Hands
      # A pan pressed gets one more on it; after ten it is as it was. It tips as it should.
      class Weights
        MOST = 10

        def initialize(scale, put = [0, 0])
          @scale = scale
          @put = put
        end

        def layout = now.layout

        def places
          return [] if @scale.unknown?

          pans = layout.marks.select { |mark| mark.shape == :pan }
          pans.map { |pan| Mark.new(shape: :place, x: pan.x, y: pan.y - 1, width: pan.width, height: pan.height + 1) }
        end

        def press(side)
          put = @put.dup.tap { |all| all[side] = (all[side] + 1) % (MOST + 1) }
          Weights.new(@scale, put)
        end

        # Only a level balance says that both are the same.
        def sentence
          now.tips.zero? && @put.any?(&:positive?) ? sides.map { |side| side.join(" + ") }.join(" = ") : nil
        end

        private

        def now = Scale.new(*sides)

        # What was put on stands as a number of its own where there is room for it.
        def sides
          @scale.sides.zip(@put).map do |side, more|
            next side if more.zero?

            side.size < Scale::MOST ? [*side, more] : [*side[0..-2], side.last + more]
          end
        end
      end
    end
  end
end
