# frozen_string_literal: true

module Rungs
  module Picture
    # One or two rows of ten beads, five of one tone and five of another; pushed-over beads stand at the left. A card can
    # hide the rest.
    class Rack
      include Kind

      LENGTH = 14

      def self.title = "Number rack"

      def self.of(problem, **)
        shown = problem.shown_parts
        shown = [[shown[0], 10].min, shown[0] - [shown[0], 10].min] if shown.size == 1
        shown.max <= 10 && shown.size <= 2 ? new(shown) : nil
      end

      # One row after the other, as they are pushed.
      def self.act(path, problem, **)
        return [] unless problem.add? && problem.parts.size == 2 && problem.larger <= 10 && path.rung.between?(2, 4)

        first, second = problem.parts
        return [new([first, second]).layout, new([10, problem.whole - 10]).layout] if path.rung == 4 && problem.band == "bridge"

        [new([first, 0]).layout, new([first, second]).layout]
      end

      # @param rows [Array<Integer>] how many are pushed over in each row, one row or two
      # @param card [Boolean] a card hides the beads that were not pushed
      # @raise [Error::NotAProblem]
      def initialize(rows, card: false)
        refuse "a number rack has one row or two, of ten beads" unless [1, 2].include?(rows.size) && rows.all? { |row| row.between?(0, 10) }

        @rows = rows
        @card = card
      end

      # @return [Layout]
      def layout = lay(@rows.each_with_index.flat_map { |pushed, row| rod(row) + beads(pushed, row) } + card, alt)

      # By fives in each row, and where both are shown row by row.
      def ways
        fives = @rows.flat_map { |row| row > 5 ? [5, row - 5] : [row] }
        [@rows, fives].map { |sizes| sizes.reject(&:zero?) }.select { |sizes| sizes.size > 1 }.uniq.map { |sizes| Way.sum(*sizes) }
      end

      private

      def rod(row) = [mark(:rod, x: 0, y: row * 1.4, width: LENGTH, height: 1)]

      def beads(pushed, row)
        before = @rows.take(row).sum
        (0...10).map do |index|
          over = index < pushed
          mark(:bead, x: over ? index + 0.3 : LENGTH - 10.3 + index, y: row * 1.4, tone: index < 5 ? :a : :b, group: row, order: (before + index + 1 if over),
                      state: (:hidden if @card && !over))
        end
      end

      def card
        return [] unless @card

        left = @rows.max + 0.6
        [mark(:card, x: left, y: -0.15, width: LENGTH - left + 0.2, height: (@rows.size * 1.4) - 0.1)]
      end

      def alt = "A number rack: #{@rows.join(' and ')} pushed over#{', the rest hidden by a card' if @card}"
    end
  end
end
