# frozen_string_literal: true

module Rungs
  module Picture
    class Hands
      # A thing pressed is ticked as counted, crossed out, and as it was. What moved away is left alone.
      class Things
        STATES = [nil, :ticked, :struck].freeze

        # @param objects [Objects]
        # @param marks [Array<Mark>, nil]
        def initialize(objects, marks = nil)
          @objects = objects
          @from = objects.layout
          @marks = marks || @from.marks
        end

        def places = @marks.all? { |mark| mark.shape == :thing } ? @marks.reject { |mark| mark.state == :moved } : []

        def press(place)
          pressed = places[place]
          state = STATES[(STATES.index(pressed.state) + 1) % STATES.size]
          marks = @marks.map { |mark| mark.equal?(pressed) ? Mark.new(**mark.to_h, state: state) : mark }
          Things.new(@objects, marks)
        end

        def layout
          Layout.new(width: @from.width, height: @from.height, marks: @marks,
                     alt: "#{places.size} there, as they were left#{": #{sentence}" if sentence}")
        end

        def sentence
          struck = places.count { |mark| mark.state == :struck }
          "#{places.size} − #{struck} = #{places.size - struck}" if struck.positive?
        end
      end
    end
  end
end
