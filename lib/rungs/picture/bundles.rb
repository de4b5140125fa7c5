# frozen_string_literal: true

module Rungs
  module Picture
    # Bundles of ten and loose ones; tens rods and ones; place-value cards that overlap.
    class Bundles
      include Kind

      settings :style, :struck

      STYLES = { bundles: "Bundles of ten and ones", rods: "Tens rods and ones", cards: "Place-value cards" }.freeze
      ROW = 3.4

      def self.title = "Tens and ones"

      def self.of(problem, **)
        shown = problem.shown_parts
        problem.whole >= 10 && shown.size <= 2 ? new(shown) : nil
      end

      # Where tens are seen as tens.
      def self.acts?(path, problem) = path.rung.between?(3, 4) && problem.whole >= 11 && problem.shape == :two

      def self.stage(scene, **)
        parts = scene.settled
        tens, ones = scene.taken.divmod(10)
        return if parts.size > 2 || (scene.left? && (parts.size > 1 || tens > parts[0] / 10 || ones > parts[0] % 10))

        new(parts, struck: scene.taken)
      end

      # @param parts [Array<Integer>] one number or two, 100 together at most
      # @param style [Symbol] :bundles, :rods or :cards
      # @param struck [Integer] how many are crossed out, the last bundles and the last ones
      # @raise [Error::NotAProblem]
      def initialize(parts, style: :bundles, struck: 0)
        refuse "100 sticks at most" if parts.sum > 100

        @parts = parts
        @style = one_of(STYLES.keys, style, "style")
        @struck = struck
      end

      # @return [Layout]
      def layout
        marks = @parts.each_with_index.flat_map { |number, group| send(@style, number, group, group * ROW) }
        told = @parts.map { |number| spoken(number) }.join(" and ")
        lay(marks, "#{STYLES.fetch(@style)}: #{told}#{", #{@struck} crossed out" if @struck.positive?}")
      end

      def ways
        tens, ones = @parts.sum.divmod(10)
        tens.positive? && ones.positive? ? [Way.sum(tens * 10, ones)] : []
      end

      private

      def spoken(number) = "#{number / 10} tens and #{number % 10} ones"
      def tone(group) = group.even? ? :a : :b
      def struck(index, there, gone) = (:struck if index >= there - gone)

      def bundles(number, group, top)
        tens, ones = number.divmod(10)
        style = { y: top, height: 3, tone: tone(group), group: group }
        packed = (0...tens).map do |index|
          mark(:bundle, x: index * 1.3, width: 1.1, text: "10", state: struck(index, tens, @struck / 10), **style)
        end
        loose = (0...ones).map do |index|
          mark(:stick, x: (tens * 1.3) + 0.3 + (index * 0.4), width: 0.2, state: struck(index, ones, @struck % 10),
                       **style)
        end
        packed + loose
      end

      # Ones in columns of five beside the rods.
      def rods(number, group, top)
        tens, ones = number.divmod(10)
        style = { tone: tone(group), group: group }
        (0...tens).map { |index| mark(:tens_rod, x: index * 0.6, y: top, width: 0.4, height: 3, **style) } +
          (0...ones).map do |index|
            mark(:unit, x: (tens * 0.6) + 0.3 + ((index / 5) * 0.45), y: top + 2.6 - ((index % 5) * 0.5), width: 0.36,
                        height: 0.36, **style)
          end
      end

      # The ones card lies over the zero of the tens card.
      def cards(number, group, top)
        tens, ones = number.divmod(10)
        style = { y: top, height: 2.4, group: group }
        under = mark(:value_card, x: 0, width: 3.2, tone: :a, text: (tens * 10).to_s, **style) if tens.positive?
        return [under] if tens.positive? && ones.zero?

        [under, mark(:value_card, x: tens.positive? ? 1.6 : 0, width: 1.6, tone: :b, text: ones.to_s, **style)].compact
      end
    end
  end
end
