# frozen_string_literal: true

module Rungs
  module Picture
    # A picture that is worked with by finger, mouse or keys: a cell filled, a counter turned over or crossed out, beads
    # pushed, a jump drawn, a cube put on, a weight put on a pan, a part dragged out of a whole, a thing ticked as it is
    # counted. Only the places that were pressed are kept, in order; the picture always is a layout, and the sentence
    # follows it (guide 8, Hands on).
    #
    #   Hands.new(Frame.new([7]).layout, [7, 7]).sentence  # => "7 + 1 = 8", turned over by the second press
    #
    # How each kind of picture is worked with is one class beside this: it says its places (Array<Mark>), takes a press
    # (place → the same kind, pressed), and has a layout and a sentence (String or nil).
    class Hands
      Rungs.shelve self

      # By kind of picture.
      KINDS = { Frame => Cells, Objects => Things, Dots => Things, Rack => Beads, Line => Jumps, Towers => Cubes,
                Scale => Weights, Parts => Pieces, Fingers => Folds, Track => Cards }.freeze

      # @param from [Layout] as the item has it
      # @param presses [Array<Integer>] places, from 0, in the order in which they were pressed
      def initialize(from, presses = [])
        start = KINDS[from.kind.class]&.new(from.kind)
        @from = from
        @worked = presses.reduce(start) do |worked, place|
          worked && place.between?(0, worked.places.size - 1) ? worked.press(place) : worked
        end
        @pressed = presses.any?
      end

      # @return [Array<Mark>] the places that can be pressed; none where nothing of it can be moved
      def places = @worked ? @worked.places : []

      # @return [Layout]
      def layout = @worked && @pressed ? @worked.layout : @from

      # @return [String, nil] what the picture says now; nil where it says no sum
      def sentence = (@worked.sentence if @worked && @pressed)

      # A sum of what is there, where there is more than one part.
      # @param parts [Array<Integer>]
      # @return [String, nil]
      def self.sum(parts)
        some = parts.reject(&:zero?)
        "#{some.join(' + ')} = #{some.sum}" if some.size > 1
      end
    end
  end
end
