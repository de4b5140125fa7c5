# frozen_string_literal: true

module Rungs
  module Picture
    # A part–part–whole bar: the whole above, the parts end to end below it. Or two bars to compare, one under the other
    # from the same edge, with the difference dashed. Lengths in proportion; any one hidden.
    class Bars
      include Kind

      settings :hidden, :compare, :unit

      LENGTH = 12.0
      HIGH = 1.2
      # A bar this short has its number below it.
      NARROW = 0.9

      def self.title = "Bars"

      def self.of(problem, **)
        return unless problem.parts.size == 2 && problem.whole.positive?

        new(problem.parts, hidden: UNKNOWN.fetch(problem.unknown), compare: problem.compare?)
      end

      # What is asked for is hidden, then there.
      def self.act(path, problem, **)
        shown = problem.shape == :two && path.rung.between?(3, 5) ? of(problem) : nil
        shown ? [shown.layout, new(problem.parts, compare: problem.compare?).layout] : []
      end

      # @param parts [Array<Integer>] two or three; to compare, the smaller and the difference
      # @param hidden [Integer, Symbol, nil] 0 or :whole, 1 and on (:first …) a part
      # @param compare [Boolean] two bars, the bigger above
      # @param unit [Integer] what each part is counted in: 100 for hundreds
      def initialize(parts, hidden: nil, compare: false, unit: 1)
        fits = parts.size.between?(2, 3) && parts.sum.between?(1, 100)
        refuse "bars show two parts or three, 1 to 100 together" unless fits

        @parts = parts
        @hidden = hidden_place(parts, hidden)
        @unit = unit
        @compare = compare && parts.size == 2
      end

      # @return [Layout]
      def layout = lay([*bar(0, LENGTH, 0, @parts.sum, 0), *below], alt)

      def ways = [Way.sum(*@parts)]

      private

      def below
        left = 0
        @parts.each_with_index.flat_map do |part, index|
          long = LENGTH * part / @parts.sum
          left += long
          part.zero? ? [] : bar(left - long, long, HIGH + 0.3, part, index + 1)
        end
      end

      # A bar with its number on it, or below it where it is too short.
      def bar(left, long, top, amount, place)
        hidden = place == @hidden
        inside = long >= NARROW
        shape = @compare && place == 2 ? :difference : :bar
        text = hidden ? "?" : (amount * @unit).to_s
        drawn = mark(shape, x: left, y: top, width: long, height: HIGH, text: inside ? text : "", group: place,
                            tone: { 1 => :a, 2 => :b }[place], state: (:hidden if hidden))
        inside ? [drawn] : [drawn, number(text, [left + (long / 2), 0.35].max, top + HIGH + 0.4, width: 0, height: 0.6)]
      end

      def alt
        names = @compare ? %w[bigger smaller difference] : %w[whole part part part]
        told = [@parts.sum, *@parts].each_with_index.map do |amount, index|
          "#{names[index]} #{index == @hidden ? 'hidden' : amount * @unit}"
        end
        "#{@compare ? 'Two bars to compare' : 'Bars'}: #{told.join(', ')}"
      end
    end
  end
end
