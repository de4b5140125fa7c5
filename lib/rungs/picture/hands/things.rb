# frozen_string_literal: true

module Rungs
  module Picture
    class Hands
      # A thing or a dot pressed is ticked as counted, then crossed out; a counter is turned over after that; then it is
      # as it was. What moved away is left alone.
      class Things
        COUNTED = %i[thing pip].freeze
        STATES = [nil, :ticked, :struck].freeze
        TURNS = "counter"

        # @param kind [Kind] a picture of things or dots
        # @param times [Hash{Integer => Integer}] by place, how often it was pressed
        def initialize(kind, times = {})
          @kind = kind
          @from = kind.layout
          @times = times
        end

        def places = @from.marks.select { |mark| COUNTED.include?(mark.shape) && mark.state != :moved }
        def press(place) = Things.new(@kind, @times.merge(place => @times.fetch(place, 0) + 1))

        def layout
          changed = places.zip(now).to_h.compare_by_identity
          Layout.new(width: @from.width, height: @from.height, marks: @from.marks.map { |mark| changed[mark] || mark },
                     alt: "#{now.size} there, as they were left#{": #{sentence}" if sentence}")
        end

        # What is left where some are crossed out; of counters how many of each colour.
        def sentence
          struck = now.count { |mark| mark.state == :struck }
          return "#{now.size} − #{struck} = #{now.size - struck}" if struck.positive?

          Hands.sum(now.partition { |mark| mark.tone == :a }.map(&:size)) if now.all? { |mark| turns?(mark) }
        end

        private

        def now = @now ||= places.each_with_index.map { |mark, place| pressed(mark, @times.fetch(place, 0)) }
        def turns?(mark) = mark.text == TURNS

        def pressed(mark, times)
          step = (STATES.index(mark.state) + times) % (STATES.size + (turns?(mark) ? 1 : 0))
          step < STATES.size ? Mark.new(**mark.to_h, state: STATES[step]) : turned(mark)
        end

        # Its other side.
        def turned(mark)
          Mark.new(**mark.to_h, state: nil, tone: mark.tone == :a ? :b : :a, group: mark.group.even? ? 1 : 0)
        end
      end
    end
  end
end
