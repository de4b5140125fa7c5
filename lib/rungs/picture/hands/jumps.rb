# frozen_string_literal: true

module Rungs
  module Picture
    class Hands
      # A number pressed is where the next jump lands; the last landing pressed again takes that jump back.
      class Jumps
        MOST = 12

        def initialize(line)
          @line = line
        end

        def layout = @line.layout
        def places = @line.stops.map { |number| @line.stop(number) }

        def press(place)
          number = @line.stops[place]
          return Jumps.new(@line.with(start: number)) unless @line.start

          jumps = @line.jumps
          return Jumps.new(@line.with(jumps: jumps[0...-1])) if number == [@line.start, *jumps].last

          jumps.size < MOST ? Jumps.new(@line.with(jumps: [*jumps, number])) : self
        end

        def sentence = @line.jumps.any? ? "#{@line.ways.first.text} = #{@line.jumps.last}" : nil
      end
    end
  end
end
