# frozen_string_literal: true

module Rungs
  class Problem
    # A number sentence with at most one box, as it is written: two sides of terms. Immutable.
    #
    #   Equation.parse("7 + □ = 12").answer        # => 5
    #   Equation.parse("7+5=6+6").true?            # => true
    #   Equation.parse("8 + 4 = ? + 5").to_problem # => the problem of the missing part
    class Equation
      Rungs.shelve self
      extend Reading

      BOX = "□"
      Term = Struct.new(:sign, :number, keyword_init: true) do
        def box? = number.nil?
        def value = sign == "−" ? -number : number
        def to_s = number ? number.to_s : BOX
      end

      attr_reader :left, :right

      # How a problem is written: by its situation's form, or a plain form where it is bare.
      BARE = { whole: "F + S = □", second: "W − F = □", first: "W − S = □", both: "W = □ + □" }.freeze

      def self.of(problem)
        form = problem.situation ? problem.situation.form : BARE.fetch(problem.unknown)
        form = "F + S + T = □" if problem.situation.nil? && problem.parts.size == 3
        numbers = { "F" => problem.first, "S" => problem.second, "T" => problem.parts[2], "W" => problem.whole }
        new(*form.split("=").map { |side| fill_side(side, numbers) })
      end

      def self.fill_side(side, numbers)
        ["+", *side.split].each_slice(2).map { |sign, letter| Term.new(sign: sign, number: numbers[letter]) }
      end
      private_class_method :fill_side

      def initialize(left, right)
        @left = left.map(&:freeze).freeze
        @right = right.map(&:freeze).freeze
        @two_sided = left.size > 1 && right.size > 1 && boxes.size == 1
        freeze
      end

      def boxes = (left + right).select(&:box?)
      def true_or_false? = boxes.empty?
      def two_sided? = @two_sided

      # A part is missing and nothing leaves.
      def missing_part?
        !true_or_false? && !two_sided? && sum_side.size > 1 && sum_side.any?(&:box?) && sum_side.all? do |term|
          term.sign == "+"
        end
      end

      # The whole is missing and something leaves: □ − 5 = 7.
      def put_back? = difference? && sum_side.first.box?

      # @return [Equation] of two sums, what the side without a box comes to: 8 + 4 = □
      def other_sum = Equation.new(other_side, [Term.new(sign: "+", number: nil)])

      # @return [Boolean] whether both sides are equal
      # @raise [Error::NotAProblem] where a box leaves it open
      def true?
        raise Error::NotAProblem, "a number is still missing" unless true_or_false?

        left.sum(&:value) == right.sum(&:value)
      end

      # @return [Integer] the number in the box
      # @raise [Error::NotAProblem] where there is none, or it would be below zero
      def answer
        raise Error::NotAProblem, "it needs one box: “#{self}”" unless boxes.size == 1

        home, away = left.any?(&:box?) ? [left, right] : [right, left]
        known = away.sum(&:value) - home.reject(&:box?).sum(&:value)
        number = home.find(&:box?).sign == "−" ? -known : known
        raise Error::NotAProblem, "no number from 0 up makes “#{self}” right" if number.negative?

        number
      end

      # The same equation with its boxes filled in, in order.
      def solve(*numbers)
        numbers = [answer] if numbers.empty?
        fill = ->(terms) { terms.map { |term| term.box? ? Term.new(sign: term.sign, number: numbers.shift) : term } }
        Equation.new(fill.call(left), fill.call(right))
      end

      # The same form with other numbers.
      # @param parts [Array<Integer>] as of the problem it asks
      def like(parts)
        roles = difference? ? [parts.sum, parts[0]] : parts
        rest = difference? ? [parts[1]] : away_numbers(parts)
        sides = [refill(sum_side, roles), refill(other_side, rest)]
        Equation.new(*(sum_side.equal?(left) ? sides : sides.reverse))
      end

      # @return [Problem] what it asks, read as section 3.1 of the guide reads it
      # @raise [Error::NotAProblem]
      def to_problem
        filled = solve
        home, away = sum_side.any?(&:box?) || !two_sided? ? [sum_side, other_side] : [other_side, sum_side]
        terms = filled.send(home.equal?(left) ? :left : :right)
        numbers = terms.map(&:number)
        return Problem.new(parts: numbers, unknown: unknown_in(home), equation: self) if home.all? { |t| t.sign == "+" }

        refuse_chain unless home.size == 2 && away.size == 1
        Problem.new(parts: [numbers[1], numbers[0] - numbers[1]], unknown: unknown_in_difference(home), equation: self)
      end

      # @return [String] across the page: "7 + □ = 12"
      def to_s = "#{side_text(left)} = #{side_text(right)}"

      # @return [String] down the page, right-aligned, a rule above the result
      def down
        rows = sum_side.each_with_index.map { |term, index| [index.zero? ? " " : term.sign, term.to_s] }
        result = other_side.join(" + ")
        width = [*rows.map { |_, number| number.size }, result.size].max
        [*rows.map do |sign, number|
          "#{sign} #{number.rjust(width)}"
        end, "-" * (width + 2), result.rjust(width + 2)].join("\n")
      end

      def ==(other) = other.is_a?(Equation) && to_s == other.to_s
      alias eql? ==
      def hash = to_s.hash

      private

      def refill(terms, numbers)
        terms.zip(numbers).map { |term, number| Term.new(sign: term.sign, number: term.box? ? nil : number) }
      end

      # The side with the operation in it; for two sums, the one with the box.
      def sum_side
        return left.any?(&:box?) ? left : right if two_sided?

        left.size >= right.size ? left : right
      end

      def difference? = sum_side.size == 2 && sum_side[1].sign == "−"

      # The numbers across the equals sign: the whole, or for two sums another pair that makes it.
      def away_numbers(parts)
        return [parts.sum] unless two_sided?

        whole, band = parts.sum, Band.of(parts)
        other = (1...whole).find { |number| !parts.include?(number) && Band.of([whole - number, number]) == band } || 0
        [whole - other, other]
      end

      def other_side = sum_side.equal?(left) ? right : left

      def unknown_in(home)
        place = home.index(&:box?)
        place ? %i[first second][place] || refuse_chain : :whole
      end

      def unknown_in_difference(home)
        return :second unless home.any?(&:box?)

        home[0].box? ? :whole : :first
      end

      def refuse_chain = raise(Error::NotAProblem, "“#{self}” is more than one step; use two numbers, or three to add")

      def side_text(terms)
        terms.each_with_index.map { |term, index| index.zero? ? term.to_s : "#{term.sign} #{term}" }.join(" ")
      end
    end
  end
end
