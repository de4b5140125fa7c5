# frozen_string_literal: true

module Rungs
  module Picture
    # A part–part–whole bar, or two bars to compare; lengths in proportion; any one hidden.
    class Bars
      include Kind

      LENGTH = 12.0
      LEAST = 1.0

      def self.title = "Bars"

      def self.of(problem, **)
        problem.parts.size == 2 && problem.whole.positive? ? new(problem.parts, hidden: { whole: 0, first: 1, second: 2, both: 1 }.fetch(problem.unknown), compare: problem.compare?) : nil
      end

      def self.act(path, problem, **) = problem.parts.size == 2 && problem.whole.positive? && path.move.id == "family" ? [of(problem).layout, new(problem.parts).layout] : []

      # @param parts [Array<Integer>] two or three; to compare, the smaller and the difference
      # @param hidden [Integer, nil] 0 the whole, 1 and on a part
      # @param compare [Boolean] two bars, the bigger above
      def initialize(parts, hidden: nil, compare: false)
        refuse "bars show two parts or three, 1 to 100 together" unless parts.size.between?(2, 3) && parts.sum.between?(1, 100)

        @parts = parts
        @hidden = one_of([nil, *0..parts.size], hidden)
        @compare = compare
      end

      # @return [Layout]
      def layout = lay([bar(0, LENGTH, 0, @parts.sum, 0), *below], alt)

      def ways = [Way.sum(*@parts)]

      private

      # In proportion, but never too short to write in.
      def lengths
        raw = @parts.map { |part| part.zero? ? 0 : [LENGTH * part / @parts.sum, LEAST].max }
        raw.map { |length| length * LENGTH / raw.sum }
      end

      def below
        left = 0
        @parts.each_with_index.map { |part, index| bar(left, lengths[index], 1.5, part, index + 1).tap { left += lengths[index] } }.reject { |each| each.width.zero? }
      end

      def bar(left, length, top, amount, place)
        mark(:bar, x: left, y: top, width: length, height: 1.2, text: amount.to_s, group: place, tone: { 1 => :a, 2 => :b }[place], state: (:hidden if place == @hidden))
      end

      def alt
        names = [@compare ? "bigger" : "whole", @compare ? "smaller" : "part", @compare ? "difference" : "part", "part"].zip([@parts.sum, *@parts]).first(@parts.size + 1)
        "Bars: #{names.each_with_index.map { |(name, amount), index| "#{name} #{index == @hidden ? 'hidden' : amount}" }.join(', ')}"
      end
    end
  end
end
