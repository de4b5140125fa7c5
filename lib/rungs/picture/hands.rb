# frozen_string_literal: true

module Rungs
  module Picture
    # A picture that is worked with: a cell of a frame filled, turned over, crossed out and emptied again; a thing
    # ticked as it is counted, crossed out, and as it was. What was pressed how often is all that is kept; the picture
    # stays a layout, and the sentence follows it.
    #
    #   Hands.new(Frame.new([7]).layout, { 7 => 2 }).sentence  # => "7 + 1 = 8"
    class Hands
      # What a place goes through as it is pressed: a tone and a state each, nil for nothing there.
      CELL = [nil, %i[a plain], %i[b plain], %i[a struck]].freeze
      THING = %i[plain ticked struck].freeze
      FRAME = %i[cell counter].freeze

      # @param from [Layout] as the item has it
      # @param touches [Hash{Integer => Integer}] place, from 0 → how often it was pressed
      def initialize(from, touches = {})
        @from = from
        @touches = touches
      end

      # @return [Array<Mark>] the places that can be pressed; none where nothing of it can be moved
      def places
        return cells if frame?

        @from.marks.all? { |mark| mark.shape == :thing } ? @from.marks.reject { |mark| mark.state == :moved } : []
      end

      # @return [Layout]
      def layout
        return @from if @touches.empty?

        Layout.new(width: @from.width, height: @from.height, marks: frame? ? cells + lying : things, alt: alt)
      end

      # @return [String, nil] what the picture says now; nil where it says no sum
      def sentence
        struck, left = there.partition { |_, state| state == :struck }
        return "#{there.size} − #{struck.size} = #{left.size}" if struck.any?

        one, other = %i[a b].map { |tone| left.count { |each, _| each == tone } }
        "#{one} + #{other} = #{one + other}" if one.positive? && other.positive?
      end

      private

      def frame? = @from.marks.any? && @from.marks.all? { |mark| FRAME.include?(mark.shape) }
      def cells = @from.marks.select { |mark| mark.shape == :cell }
      def pressed(place) = @touches.fetch(place, 0)

      # What lies in each place now: tone and state, or nil.
      def contents
        @contents ||= cells.each_with_index.map do |cell, place|
          counter = @from.marks.find { |mark| mark.shape == :counter && [mark.x, mark.y] == [cell.x, cell.y] }
          CELL[(start(counter) + pressed(place)) % CELL.size]
        end
      end

      def start(counter)
        return 0 unless counter

        CELL.index([counter.tone, :plain]).then { |index| counter.state == :struck ? CELL.size - 1 : index }
      end

      def lying
        cells.zip(contents).select(&:last).each_with_index.map do |(cell, (tone, state)), index|
          Mark.new(shape: :counter, x: cell.x, y: cell.y, tone: tone, order: index + 1,
                   state: (state unless state == :plain))
        end
      end

      def things
        @from.marks.each_with_index.map do |mark, place|
          state = THING[(THING.index(mark.state || :plain).to_i + pressed(place)) % THING.size]
          mark.state == :moved ? mark : Mark.new(**mark.to_h, state: (state unless state == :plain))
        end
      end

      # Tone and state of everything that can be pressed and is there.
      def there
        return contents.compact if frame?

        things.reject { |mark| mark.state == :moved }.map { |mark| [mark.tone, mark.state || :plain] }
      end

      def alt = "#{there.size} there, as they were put#{": #{sentence}" if sentence}"
    end
  end
end
