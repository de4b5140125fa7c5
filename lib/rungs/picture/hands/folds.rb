# frozen_string_literal: true

module Rungs
  module Picture
    class Hands
      # A finger pressed folds down, or comes up again.
      class Folds
        def initialize(fingers)
          @fingers = fingers
        end

        def layout = @fingers.layout
        def places = layout.marks.select { |mark| mark.shape == :finger }

        def press(place)
          up = @fingers.up
          Folds.new(Fingers.showing(up.include?(place) ? up - [place] : (up + [place]).sort))
        end

        def sentence = Hands.sum(@fingers.up.partition { |finger| finger < 5 }.map(&:size))
      end
    end
  end
end
