# frozen_string_literal: true

module Rungs
  module Picture
    class Line
      # Its scale, its jumps and its start, as marks.
      module Drawn
        private

        def axis
          return [] if @style == :track

          [mark(:segment, x: 0, y: BASE, width: x(@to) + 0.5, height: 0, points: [[x(@from), BASE], [x(@to), BASE]])]
        end

        def scale
          case @style
          when :track then track
          when :tens then tens.map { |number| tick(number, true) } + numerals(tens)
          when :open then stood_on.map { |number| tick(number, true) } + numerals(stood_on)
          else ticks.map { |number| tick(number, (number % step_of_long).zero?) } + numerals(stood_on + tens_and_all)
          end
        end

        # The ticks that are drawn, those that are longer, and the numbers that have a numeral where there is room.
        def ticks = (@from..@to).step(span > 50 ? 5 : 1)

        def tens = (@from..@to).step(10).to_a
        def step_of_long = span > 50 ? 10 : 5

        def tens_and_all
          if span > 20
            (@from..@to).step(span > 40 ? 10 : 5).to_a
          else
            (@from..@to).to_a
          end
        end

        def track
          (@from + 1..@to).flat_map do |number|
            left = x(number - 1)
            [mark(:cell, x: left, y: BASE, width: unit, height: 1), numeral(number, left + (unit / 2), BASE + 0.5)]
          end
        end

        # Where it starts and ends first, then the other landings, then the scale; each only where it keeps clear of
        # those before.
        def numerals(numbers)
          placed = []
          [*stood_on.first, *stood_on.last, *numbers].uniq.each do |number|
            placed << number if placed.all? { |other| (x(number) - x(other)).abs >= clear(number, other) }
          end
          placed.map { |number| numeral(number, x(number), BASE + 0.5 + (large / 2)) }
        end

        # Wide numerals keep further apart.
        def clear(*numbers)
          return APART * 0.7 if numbers.max < 10

          numbers.max > 99 ? APART * 1.25 : APART * 0.95
        end

        def tick(number, long)
          size = long ? 0.28 : 0.16
          mark(:segment, x: x(number), y: BASE - size, width: 0, height: size * 2,
                         points: [[x(number), BASE - size], [x(number), BASE + size]])
        end

        def numeral(number, at, y)
          number(number, at, y, width: 0, height: large, state: (:new if stood_on.include?(number)), order: nil)
        end

        # How high a numeral is: as high as there is room beside the next one.
        def large = span == 10 ? 0.9 : 0.75

        def arcs
          last_label = nil
          [@start, *@jumps].each_cons(2).with_index.map do |(from, to), index|
            middle = (at(from) + at(to)) / 2
            shown = last_label.nil? || (middle - last_label).abs >= APART
            last_label = middle if shown
            arc(from, to, index + 1, shown)
          end
        end

        def by(from, to) = "#{to < from ? '−' : '+'}#{(to - from).abs}"

        # A label that would lie on the one before it is left out; the jump is there all the same.
        def arc(from, to, order, shown)
          high = [0.35 + (Math.sqrt((to - from).abs * unit) * 0.55), 1.9].min
          points = [[at(from), track_top], [(at(from) + at(to)) / 2, track_top - (high * 1.6)], [at(to), track_top]]
          mark(:jump, x: [at(from), at(to)].min, y: BASE - high - 0.5, width: (at(to) - at(from)).abs, height: high,
                      order: order, tone: :b, points: points, text: shown ? by(from, to) : "")
        end

        def track_top = @style == :track ? BASE - 0.05 : BASE - 0.12

        def dot
          return [] unless @start

          top = @style == :track ? BASE - 0.3 : BASE - 0.16
          [mark(:dot, x: at(@start) - 0.16, y: top, width: 0.32, height: 0.32, tone: :a)]
        end
      end
    end
  end
end
