# frozen_string_literal: true

module Rungs
  module Picture
    # One or two rows of ten beads (or one of five), five of one tone and five of another; pushed-over beads stand at
    # the left. A card can hide the rest.
    class Rack
      include Kind

      settings :card, :beads

      # How much longer than its beads a rod is.
      ROOM = 4
      ROW = 1.4

      def self.title = "Number rack"

      def self.of(problem, **)
        shown = problem.shown_parts
        shown = [[shown[0], 10].min, shown[0] - [shown[0], 10].min] if shown.size == 1
        shown.max <= 10 && shown.size <= 2 ? new(shown) : nil
      end

      # One row after the other, as they are pushed. Counting everything and knowing it at once need no beads pushed.
      def self.acts?(path, problem) = problem.add? && path.rung.between?(2, 4)

      def self.stage(scene, **)
        rows = scene.settled
        rows = [rows[0], 0] if rows.size == 1
        rows.size == 2 && rows.max <= 10 && !scene.left? ? new(rows) : nil
      end

      # @param rows [Array<Integer>] how many are pushed over in each row, one row or two
      # @param card [Boolean] a card hides the beads that were not pushed
      # @param beads [Integer] on a row, 10 or 5
      # @raise [Error::NotAProblem]
      def initialize(rows, card: false, beads: 10)
        fits = [1, 2].include?(rows.size) && [5, 10].include?(beads) && rows.all? { |row| row.between?(0, beads) }
        refuse "a number rack has one row or two, of ten beads" unless fits

        @rows = rows
        @card = card
        @beads = beads
      end

      attr_reader :rows, :beads

      def card? = @card

      # @return [Layout]
      def layout = lay(@rows.each_with_index.flat_map { |pushed, row| rod(row) + on_rod(pushed, row) } + card, alt)

      # By fives in each row, and where both are shown row by row.
      def ways
        fives = @rows.flat_map { |row| row > 5 ? [5, row - 5] : [row] }
        Way.sums(@rows, fives)
      end

      private

      def length = @beads + ROOM
      def rod(row) = [mark(:rod, x: 0, y: row * ROW, width: length, height: 1)]

      def on_rod(pushed, row)
        before = @rows.take(row).sum
        (0...@beads).map do |index|
          over = index < pushed
          mark(:bead, x: over ? index + 0.3 : length - @beads - 0.3 + index, y: row * ROW, tone: index < 5 ? :a : :b,
                      group: row,
                      order: (before + index + 1 if over), state: (:hidden if @card && !over))
        end
      end

      def card
        return [] unless @card

        left = @rows.max + 0.6
        [mark(:card, x: left, y: -0.15, width: length - left + 0.3, height: ((@rows.size - 1) * ROW) + 1.3)]
      end

      def alt = "A number rack: #{@rows.join(' and ')} pushed over#{', the rest hidden by a card' if @card}"
    end
  end
end
