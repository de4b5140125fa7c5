# frozen_string_literal: true

module Rungs
  module Picture
    # A whole above (or at the left), two or three parts below it, joined by lines; numbers, dots or both; any one hidden. A
    # part can be split again.
    class Parts
      include Kind

      WIDTH = 2.2

      def self.title = "Whole and parts"

      def self.of(problem, whole: :top, **) = new(problem.parts, hidden: { whole: 0, first: 1, second: 2, both: 1 }.fetch(problem.unknown), place: whole)

      # The whole and its parts, then the split that a move makes.
      def self.act(path, problem, **)
        return [] unless problem.parts.size == 2 && path.rung.between?(3, 5)

        steps = [new(problem.parts, hidden: problem.add? ? 0 : problem.parts.index(problem.sought) + 1)]
        steps << new(problem.parts, split: split_of(path, problem), hidden: 0) if path.rung == 4 && problem.add? && problem.band == "bridge"
        (steps << new(problem.parts)).map(&:layout)
      end

      # Which part is broken, and into what.
      def self.split_of(_path, problem)
        [problem.parts.index(problem.smaller), [10 - problem.larger, problem.whole - 10]]
      end
      private_class_method :split_of

      # @param parts [Array<Integer>] two or three
      # @param hidden [Integer, nil] which is hidden: 0 the whole, 1 and on a part
      # @param show [Symbol] :numbers, :dots or :both
      # @param place [Symbol] the whole :top or :left
      # @param split [Array(Integer, Array<Integer>), nil] the index of a part and what it is broken into
      # @raise [Error::NotAProblem] with the number that is off
      def initialize(parts, hidden: nil, show: :numbers, place: :top, split: nil)
        refuse "a whole is shown in two parts or three" unless [2, 3].include?(parts.size)
        refuse "100 is the largest whole" if parts.sum > 100
        refuse "#{split[1].join(' and ')} make #{split[1].sum}, not #{parts[split[0]]}" if split && split[1].sum != parts[split[0]]

        @parts = parts
        @hidden = one_of([nil, *0..parts.size], hidden)
        @show = one_of(%i[numbers dots both], show)
        @place = one_of(%i[top left], place)
        @split = split
      end

      # @return [Layout]
      def layout = lay(lines + nodes, alt)

      def ways = [Way.sum(*@parts)]

      private

      def span = (@parts.size * WIDTH) + ((@parts.size - 1) * 1.2)
      def whole_at = turn((span - WIDTH) / 2, 0)
      def part_at(index) = turn(index * (WIDTH + 1.2), 3.2)
      def split_at(index) = turn((@split[0] * (WIDTH + 1.2)) + (index * (WIDTH + 0.6)) - (WIDTH / 2) - 0.3 + shift, 6.4)
      # A split under the first part must not leave the page.
      def shift = @split && @split[0].zero? ? (WIDTH / 2) + 0.3 : 0
      def turn(x, y) = @place == :left ? [y * 1.1, x] : [x, y]
      def centre(corner) = corner.map { |each| each + (WIDTH / 2) }

      def lines
        ends = @parts.each_index.map { |index| [whole_at, part_at(index)] }
        ends += [0, 1].map { |index| [part_at(@split[0]), split_at(index)] } if @split
        ends.map { |from, to| mark(:segment, x: 0, y: 0, width: 0, height: 0, points: [centre(from), centre(to)]) }
      end

      def nodes
        all = [[@parts.sum, whole_at, 0], *@parts.each_with_index.map { |part, index| [part, part_at(index), index + 1] }]
        all += @split[1].each_with_index.map { |piece, index| [piece, split_at(index), nil] } if @split
        all.map do |amount, (x, y), place|
  mark(:node, x: x, y: y, width: WIDTH, height: WIDTH, tone: { 1 => :a, 2 => :b }[place], state: (if place && place == @hidden
                                                                                                    :hidden
                                                                                                  end), text: amount.to_s, group: place, points: dots(amount, x, y))
end
      end

      # In fives, inside the node.
      def dots(amount, x, y)
        return if @show == :numbers

        (0...amount).map { |index| [x + 0.35 + ((index % 5) * 0.375), y + (@show == :both ? 1.35 : 0.7) + ((index / 5) * 0.3)] }
      end

      def alt
        names = ["whole #{@parts.sum}", *@parts.map { |part| "part #{part}" }]
        names[@hidden] = names[@hidden].sub(/\d+/, "hidden") if @hidden
        "#{names.join(', ')}#{"; #{@parts[@split[0]]} is broken into #{@split[1].join(' and ')}" if @split}"
      end
    end
  end
end
