# frozen_string_literal: true

module Rungs
  module Strategy
    # A way of a child's own: one number broken into two, and put on (or taken off) one piece after the other. Drawn if
    # it is right, refused kindly, with the number that is off, if it is not.
    #
    #   Split.path(problem, 7, [3, 4]).landings  # 8 + 7 with the 7 broken into 3 and 4 => [8, 11, 15]
    module Split
      MOVE = Move.new(id: "own_split", rung: "part_whole", title: "breaks a number in two of its own choice",
                      for_a: :either,
                      applies: ->(_) { false }, goes: ->(_) {})

      module_function

      # @param problem [Problem] with two parts
      # @param broken [Integer] the number that is broken: a part of a sum, or what is taken away
      # @param pieces [Array<Integer>] two numbers
      # @return [Path]
      # @raise [Error::NotAProblem] saying which number is off
      def path(problem, broken, pieces)
        check(problem, broken, pieces)
        first, second = pieces
        start, sign = problem.add? ? [problem.whole - broken, "+"] : [problem.whole, "−"]
        middle = problem.add? ? start + first : start - first
        finish = problem.answer
        Path.new(move: MOVE, splits: 1, recalled: %w[fact fact], landings: [start, middle, finish],
                 acting: acting(problem, start, pieces),
                 equations: ["#{broken} = #{first} + #{second}", "#{start} #{sign} #{first} = #{middle}",
                             "#{middle} #{sign} #{second} = #{finish}"],
                 says: "I broke #{NumberWords.say(broken)} into #{NumberWords.say(first)} and " \
                       "#{NumberWords.say(second)}.")
      end

      # @return [Array<Integer>] the numbers of a problem that a child may break in two
      def breakable(problem)
        return [] unless problem.shape == :two

        (problem.add? ? problem.parts.uniq : [problem.given]).select { |number| number >= 2 }
      end

      def acting(problem, start, pieces)
        first, = pieces
        return Acting.new(gathered: [[start]], taken: [first, pieces.sum]) unless problem.add?

        Acting.new(gathered: [[start], [start, first], [start, pieces.sum]])
      end

      def check(problem, broken, pieces)
        allowed = problem.add? ? problem.parts : [problem.given]
        refuse("only a problem with two numbers can be split here") unless problem.shape == :two && pieces.size == 2
        refuse("#{broken} is not in this problem; break #{allowed.uniq.join(' or ')}") unless allowed.include?(broken)
        refuse("#{pieces.join(' and ')} make #{pieces.sum}, not #{broken}") unless pieces.sum == broken
        refuse("each piece is 1 or more") unless pieces.all?(&:positive?)
      end

      def refuse(reason) = raise(Error::NotAProblem, reason)
      private_class_method :acting, :check, :refuse
    end
  end
end
