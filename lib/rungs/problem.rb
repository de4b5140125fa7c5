# frozen_string_literal: true

module Rungs
  # One addition or subtraction problem: a whole, its parts in the order the story tells them, and which of
  # them is asked for. Immutable.
  #
  #   Problem.new(situation: "add_to.result", parts: [9, 5], unknown: :whole).answer  # => 14
  #
  # The parts follow the story: for take_from the first part is what leaves and the second what is left; for
  # compare the first is the smaller set and the second the difference; the whole is the bigger set.
  # Source: guide 3.1.
  class Problem
    Rungs.shelve self
    include Unknown

    OPERATIONS = %w[add subtract].freeze
    LARGEST_WHOLE = 100

    attr_reader :situation, :parts, :unknown, :whole, :band

    # @param parts [Array<Integer>] two parts (or three, for a whole), each 0 or more, 100 together at most
    # @param unknown [Symbol] :whole, :first, :second or :both
    # @param situation [String, nil] an id of Situation::ALL; nil for a bare equation
    # @param equation [Equation, nil] how it is written; by default, how its situation is written
    # @raise [Error::NotAProblem] where the numbers do not make a problem
    def initialize(parts:, unknown:, situation: nil, equation: nil)
      @parts = parts.dup.freeze
      @unknown = unknown
      @situation = situation && Situation::ALL.fetch(situation)
      refuse "use whole numbers from 0 up" unless parts.all? { |part| part.is_a?(Integer) && part >= 0 }
      @whole = parts.sum
      check
      @band = Band.of(parts)
      @equation = equation
      @memo = {} # what is worked out from the rest, once
      freeze
    end

    # The problem that a situation tells with the numbers it gives, in the order it gives them: for taking away,
    # the whole and what leaves.
    # @param situation [String]
    # @param numbers [Array<Integer>]
    # @raise [Error::NotAProblem]
    def self.from_story(situation, numbers)
      form = Situation::ALL.fetch(situation)
      given = form.givens.zip(numbers).to_h
      unless numbers.size == given.size && numbers.all?(Integer)
        raise Error::NotAProblem, "this story needs #{given.size == 1 ? 'one number' : "#{given.size} numbers"}"
      end

      parts = form.parts(given)
      check_told(form, parts, given)
      new(situation: situation, parts: parts, unknown: form.unknown)
    end

    def self.check_told(form, parts, given)
      if parts.min.negative?
        part = given.except("W").values.first
        raise Error::NotAProblem, "#{given['W']} is less than #{part}: the whole must be at least as big as its part"
      end
      raise Error::NotAProblem, "these numbers leave no difference to compare" unless form.tells?(parts)
    end
    private_class_method :check_told

    # @return [Array<Integer>] the numbers its situation gives, as Problem.from_story takes them
    def story_numbers
      numbers = { "W" => whole, "F" => first, "S" => second, "T" => parts[2] }
      situation.givens.map { |letter| numbers.fetch(letter) }
    end

    def first = parts[0]
    def second = parts[1]
    def smaller = parts.min
    def larger = parts.max

    # @return [Integer, nil] where a count on is shortest; nil where nothing is gained
    def count_from = (larger if add? && first != larger)

    # @return [Symbol] :two or :three numbers to put together or take apart, or sums on :both_sides
    def shape
      return :both_sides if two_sided?

      parts.size == 3 ? :three : :two
    end

    # @return [Array(Problem, Problem)] of both sides sums, what the side without a box comes to, and then the missing
    #   part
    def sides
      @memo[:sides] ||= [equation.other_sum.to_problem, Equation.parse("#{given} + □ = #{whole}").to_problem].freeze
    end

    # @return [Equation] as it was given, or as its situation is written
    def equation = @equation || Equation.of(self)
    def two_sided? = !@equation.nil? && @equation.two_sided?

    # @return [Equation] how it is written when it is solved
    def solved = many_answers? ? equation.solve(*parts, whole) : equation.solve(answer)

    def families = Family.of(parts)

    # The same problem with other numbers: same situation, same form.
    # @param numbers [Array<Integer>] its parts
    def like(numbers)
      Problem.new(situation: situation&.id, parts: numbers, unknown: unknown, equation: equation.like(numbers))
    end

    # The fact behind it, whichever way round: 9 + 5, 5 + 9 and 14 − 9 share it within an operation.
    def fact = parts.sort

    # Whether an answer to it tells how a child works what it does not know (guide 10).
    def tells? = Band::ALL.fetch(band).tells?(two_sided? ? sides.first.parts : parts)

    # The fact as it is known, or not: 9 + 5 and 5 + 9 are one; 14 − 9 and 14 − 5 are two, and 9 + □ = 14 goes with
    # 14 − 9 (guide 10).
    # @return [Array<Integer>, nil] the parts, the smaller first; the whole and what is given, where a part is sought;
    #   nil where it is not about two numbers
    def exact_fact
      return if parts.size != 2 || two_sided? || unknown == :both

      add? ? fact : [whole, given]
    end

    # @return [Problem] the bare sum with its addends in the other order
    def turned = Problem.new(parts: addends.reverse, unknown: :whole)

    # @return [Array<Strategy::Path>] every way of working it that a move of the ladder gives
    def paths = @memo[:paths] ||= Strategy::Path.all(self).freeze

    # @return [Array<Strategy::Move>] those of its paths, without going them
    def moves = two_sided? ? paths.map(&:move) : Strategy::Move::ALL.select { |move| move.applies?(self) }

    # @return [Array<Integer>] the rungs at which at least one move applies
    def affords = @memo[:affords] ||= moves.map(&:rung).uniq.sort.freeze

    # What a picture can show of it without giving the answer away: both parts of a sum, the whole where some leave, the
    # part that is given where one is missing.
    # @return [Array<Integer>]
    def shown_parts
      return parts if add?

      missing_part? ? [given] : [whole]
    end

    # The first number that is read in it.
    def leading_number = (equation.left + equation.right).find(&:number).number

    def ==(other) = other.is_a?(Problem) && identity == other.identity
    alias eql? ==
    def hash = identity.hash
    def identity = [situation&.id, parts, unknown, equation.to_s]
    def to_s = equation.to_s

    # @return [String] "8 + 5": without the box that is asked for at its end
    def expression = to_s.delete_suffix(" = □")

    private

    def check
      refuse "a problem needs two numbers, or three for a whole" unless [2, 3].include?(parts.size)
      refuse "#{parts.join(' + ')} is more than #{LARGEST_WHOLE}" if whole > LARGEST_WHOLE
      refuse "with three parts, ask for the whole" if parts.size == 3 && unknown != :whole
      return if %i[whole first second both].include?(unknown)

      refuse "the unknown is the whole, the first part, the second part or both"
    end

    def refuse(reason) = raise(Error::NotAProblem, reason)
  end
end
