# frozen_string_literal: true

module Rungs
  module Picture
    # Numbered cards in rows, some of them struck out; or a mat whose places are covered one by one.
    class Track
      include Kind

      ROW = 11
      SIDE = 1.2

      # @param to [Integer] cards from 0 to it, or a list of what stands on the places
      # @param left [Array<Integer>, nil] the numbers that are still in; nil where none is out
      # @param covered [Array<Integer>] places, from 0, that have a counter on them
      # @param row [Integer] how many stand in a row
      def initialize(to, left: nil, covered: [], row: ROW)
        @numbers = to.is_a?(Array) ? to : (0..to).to_a
        @left = left || @numbers
        @covered = covered
        @row = row
      end

      # The same with a number out, or in again; a mat with a place covered, or free again.
      # @param place [Integer]
      def pressed(place)
        return Track.new(@numbers, covered: toggled(@covered, place), row: @row) if mat?

        Track.new(@numbers, left: toggled(@left, @numbers[place]).sort, row: @row)
      end

      # @return [Layout]
      def layout = lay(@numbers.each_with_index.flat_map { |number, place| card(number, place) }, alt)

      private

      def mat? = @numbers.uniq.size < @numbers.size || @covered.any?
      def toggled(list, each) = list.include?(each) ? list - [each] : [*list, each]

      def card(number, place)
        x, y = (place % @row) * SIDE, (place / @row) * SIDE
        out = !@left.include?(number)
        marks = [mark(:cell, x: x, y: y, width: SIDE, height: SIDE),
                 number(number, x + (SIDE / 2), y + (SIDE / 2), width: 0, height: 0, state: (:new unless out))]
        marks << mark(:counter, x: x + 0.1, y: y + 0.1, tone: :a, order: place + 1) if @covered.include?(place)
        marks << mark(:out, x: x, y: y, width: SIDE, height: SIDE) if out
        marks
      end

      def alt
        return "A mat of #{@numbers.size} places, #{@covered.size} covered" if mat?
        return "Cards: #{@left.join(', ')}" unless @numbers.each_cons(2).all? { |one, other| other == one + 1 }

        "Numbers #{@numbers.first} to #{@numbers.last}, #{@left.size} left: #{@left.join(', ')}"
      end
    end
  end
end
