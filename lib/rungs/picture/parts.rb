# frozen_string_literal: true

module Rungs
  module Picture
    # A whole above (or at the left), two or three parts below it, joined by lines; numbers, dots or both; any one
    # hidden. A part can be split again.
    class Parts
      include Kind

      settings :hidden, :show, :place, :split

      WIDTH = 2.2
      GAP = 1.2
      DOWN = 3.2
      # Between the two pieces of a part that is split.
      SPLIT_GAP = 0.6

      def self.title = "Whole and parts"

      def self.of(problem, whole: :top, **) = new(problem.parts, hidden: UNKNOWN.fetch(problem.unknown), place: whole)

      # The whole and its parts, then what a move breaks, then what was asked for.
      def self.act(path, problem, whole: :top, **)
        return [] unless problem.shape == :two && path.rung.between?(3, 5)

        asked = UNKNOWN.fetch(problem.unknown)
        steps = [new(problem.parts, hidden: asked, place: whole)]
        steps << new(problem.parts, split: path.acting.broken, hidden: asked, place: whole) if path.acting.broken
        (steps << new(problem.parts, place: whole)).map(&:layout)
      end

      # @param parts [Array<Integer>] two or three
      # @param hidden [Integer, Symbol, nil] 0 or :whole, 1 and on (:first …) a part
      # @param show [Symbol] :numbers, :dots or :both
      # @param place [Symbol] the whole :top or :left
      # @param split [Array(Integer, Array<Integer>), nil] the index of a part and what it is broken into
      # @raise [Error::NotAProblem] with the number that is off
      def initialize(parts, hidden: nil, show: :numbers, place: :top, split: nil)
        refuse "a whole is shown in two parts or three" unless [2, 3].include?(parts.size)
        refuse "100 is the largest whole" if parts.sum > 100
        refuse "dots are shown up to 20" if show != :numbers && parts.sum > 20

        @parts = parts
        @hidden = hidden_place(parts, hidden)
        @show = one_of(%i[numbers dots both], show, "way to show")
        @place = one_of(%i[top left], place, "place of the whole")
        @split = split
        check_split if split
      end

      # @return [Array<Integer>]
      def numbers = @parts

      # Whether nothing of it is hidden or split.
      def open? = @hidden.nil? && @split.nil?

      # The same with other parts.
      def with(parts) = Parts.new(parts, show: @show, place: @place)

      # @return [Layout]
      def layout = lay(lines + nodes, alt)

      def ways = [Way.sum(*@parts)]

      private

      def check_split
        index, pieces = @split
        refuse "#{pieces.join(' and ')} make #{pieces.sum}, not #{@parts[index]}" if pieces.sum != @parts[index]
      end

      def span = (@parts.size * WIDTH) + ((@parts.size - 1) * GAP)
      def whole_at = turn((span - WIDTH) / 2, 0)
      def part_at(index) = turn(index * (WIDTH + GAP), DOWN)

      # Below the part, in its middle.
      def split_at(index)
        turn((@split[0] * (WIDTH + GAP)) - ((WIDTH + SPLIT_GAP) / 2) + (index * (WIDTH + SPLIT_GAP)), DOWN * 2)
      end

      def turn(x, y) = @place == :left ? [y * 1.1, x] : [x, y]
      def centre(corner) = corner.map { |each| each + (WIDTH / 2) }

      def lines
        ends = @parts.each_index.map { |index| [whole_at, part_at(index)] }
        ends += [0, 1].map { |index| [part_at(@split[0]), split_at(index)] } if @split
        ends.map do |from, to|
          one, other = centre(from), centre(to)
          mark(:segment, x: [one[0], other[0]].min, y: [one[1], other[1]].min, width: 0, height: 0,
                         points: [one, other])
        end
      end

      def nodes
        whole = node(@parts.sum, whole_at, 0)
        parts = @parts.each_with_index.map { |part, index| node(part, part_at(index), index + 1) }
        pieces = @split ? @split[1].each_with_index.map { |piece, index| node(piece, split_at(index), nil) } : []
        [whole, *parts, *pieces]
      end

      def node(amount, corner, place)
        x, y = corner
        hidden = place && place == @hidden
        mark(:node, x: x, y: y, width: WIDTH, height: WIDTH, tone: { 1 => :a, 2 => :b }[place], group: place,
                    state: (:hidden if hidden), text: (amount.to_s if @show != :dots), points: dots(amount, x, y))
      end

      # In rows of five, in the middle of the node, or of its lower half where the number stands above.
      def dots(amount, x, y)
        return if @show == :numbers

        rows, step = (amount / 5.0).ceil, amount > 10 ? 0.3 : 0.36
        top = y + (@show == :both ? WIDTH * 0.7 : WIDTH / 2) - ((rows - 1) * step / 2)
        (0...amount).map do |index|
          wide = [amount - (index / 5 * 5), 5].min
          [x + (WIDTH / 2) + (((index % 5) - ((wide - 1) / 2.0)) * 0.38), top + ((index / 5) * step)]
        end
      end

      def alt
        names = ["whole #{@parts.sum}", *@parts.map { |part| "part #{part}" }]
        names[@hidden] = names[@hidden].sub(/\d+/, "hidden") if @hidden
        broken = "; #{@parts[@split[0]]} is broken into #{@split[1].join(' and ')}" if @split
        "#{names.join(', ')}#{broken}"
      end
    end
  end
end
