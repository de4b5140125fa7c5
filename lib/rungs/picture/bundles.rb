# frozen_string_literal: true

module Rungs
  module Picture
    # Bundles of ten and loose ones; tens rods and ones; place-value cards that overlap.
    class Bundles
      include Kind

      STYLES = %i[bundles rods cards].freeze

      def self.title = "Tens and ones"

      def self.of(problem, **)
        shown = problem.shown_parts
        problem.whole >= 10 && shown.size <= 2 ? new(shown) : nil
      end

      # Both parts, then put together.
      def self.act(path, problem, **) = problem.add? && %w[place_value tens_fact].include?(path.move.id) ? [new(problem.parts).layout, new([problem.whole]).layout] : []

      # @param parts [Array<Integer>] one number or two, 100 together at most
      # @param style [Symbol] :bundles, :rods or :cards
      # @raise [Error::NotAProblem]
      def initialize(parts, style: :bundles)
        refuse "100 sticks at most" if parts.sum > 100

        @parts = parts
        @style = one_of(STYLES, style)
      end

      # @return [Layout]
      def layout
        top = 0
        marks = @parts.each_with_index.flat_map { |number, group| send(@style, number, group, top).tap { top += 3.4 } }
        lay(marks, "#{{ bundles: 'Bundles of ten and ones', rods: 'Tens rods and ones', cards: 'Place-value cards' }.fetch(@style)}: #{@parts.map { |number| spoken(number) }.join(' and ')}")
      end

      def ways = @parts.sum > 10 && (@parts.sum % 10).positive? ? [Way.sum(@parts.sum / 10 * 10, @parts.sum % 10)] : []

      private

      def spoken(number) = "#{number / 10} tens and #{number % 10} ones"

      def bundles(number, group, top)
        tens, ones = number.divmod(10)
        tone = group.even? ? :a : :b
        Array.new(tens) { |index| mark(:bundle, x: index * 1.3, y: top, width: 1.1, height: 3, tone: tone, group: group, text: "10") } +
          Array.new(ones) { |index| mark(:stick, x: (tens * 1.3) + 0.3 + (index * 0.4), y: top, width: 0.2, height: 3, tone: tone, group: group) }
      end

      def rods(number, group, top)
        tens, ones = number.divmod(10)
        tone = group.even? ? :a : :b
        Array.new(tens) { |index| mark(:tens_rod, x: index * 0.6, y: top, width: 0.4, height: 3, tone: tone, group: group) } +
          Array.new(ones) { |index| mark(:unit, x: (tens * 0.6) + 0.3 + ((index / 5) * 0.45), y: top + 2.6 - ((index % 5) * 0.5), width: 0.36, height: 0.36, tone: tone, group: group) }
      end

      # The ones card lies over the zero of the tens card.
      def cards(number, group, top)
        tens, ones = number.divmod(10)
        pieces = []
        pieces << mark(:value_card, x: 0, y: top, width: 3.2, height: 2.4, tone: :a, group: group, text: (tens * 10).to_s) if tens.positive?
        pieces << mark(:value_card, x: tens.positive? ? 1.6 : 0, y: top, width: 1.6, height: 2.4, tone: :b, group: group, text: ones.to_s) if ones.positive? || tens.zero?
        pieces
      end
    end
  end
end
