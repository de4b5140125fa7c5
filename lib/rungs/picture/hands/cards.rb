# frozen_string_literal: true

module Rungs
  module Picture
    class Hands
      # A number pressed is out, or in again; a place of a mat is covered, or free again.
      class Cards
        def initialize(track)
          @track = track
        end

        def layout = @track.layout
        def places = layout.marks.select { |mark| mark.shape == :cell }
        def press(place) = Cards.new(@track.pressed(place))
        def sentence = nil
      end
    end
  end
end
