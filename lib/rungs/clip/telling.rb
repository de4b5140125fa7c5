# frozen_string_literal: true

module Rungs
  module Clip
    # How one move of a problem is told in a scene: its numbers as a child says them, with a slip in them or none.
    class Telling
      OBJECTS = {
        "all_objects" => ->(problem) { [*problem.addends, problem.whole] },
        "all_remove" => ->(problem) { [problem.whole, problem.given, problem.sought] },
        "all_build_up" => ->(problem) { [problem.given, problem.sought] },
        "all_match" => ->(problem) { [problem.whole, problem.given, problem.sought] }
      }.freeze
      # What the hands do in each count of things.
      TOUCHES = { "all_remove" => %w[touch move touch], "all_build_up" => %w[touch move] }.freeze
      # Counts that are told apart.
      MOST_RUNS = 3
      private_constant :OBJECTS, :TOUCHES, :MOST_RUNS

      # @param problem [Problem]
      # @param path [Strategy::Path]
      # @param answer [Integer, nil] a wrong one that a slip gives
      # @param random [Random]
      def initialize(problem, path, answer, random)
        @problem = problem
        @path = path
        @answer = answer
        @random = random
        @delivery = Delivery.new(random)
      end

      # @return [Array<Said>]
      def said
        case @path.rung
        when 1 then objects
        when 2 then steps
        when 5 then @delivery.at_once(@answer || @problem.answer)
        else @delivery.landings(landings, hands)
        end
      end

      private

      # Every set from one; or the last alone, where the sets are out already.
      def objects
        ends = OBJECTS.fetch(@path.move.id).call(@problem)
        ends = [*ends[0...-1], @answer] if @answer
        ends = ends.last(1) if @problem.add? && @answer.nil? && (ends.size > MOST_RUNS || @random.rand < 0.4)
        ends = ends.reject(&:zero?)
        @delivery.runs(ends.map { |last| [*1..last] }, TOUCHES.fetch(@path.move.id, []) + (["touch"] * ends.size))
      end

      def steps
        start, *words = @path.landings
        return @delivery.at_once(start) if words.empty?

        numbers = @answer ? wrong_steps(start, words) : words
        held = @answer ? numbers.first == start : @random.rand < 0.6
        numbers = [start, *numbers] if held && !@answer
        up = (words.first - start).abs > 1 || @random.rand < 0.3 ? "none" : "fingers_up"
        hands = up == "fingers_up" && words.first < start ? "fingers_down" : up
        @delivery.steps(numbers, held: held, hands: hands, answer: (@answer || @path.answer if @path.by_steps?))
      end

      # The steps that come to the wrong answer: the start counted as one of them, one too few or too many.
      def wrong_steps(start, words)
        step = words.last - (words[-2] || start)
        all = [start, *words]
        return @answer > @path.answer ? all : all[0...-1] if @path.by_steps?

        further = (words.last - start).abs < (@answer - start).abs
        further ? [start, *words, words.last + step] : all[0...-1]
      end

      def landings
        numbers = @path.pieces ? [*@path.pieces, @path.answer] : @path.landings
        numbers = [*numbers, @path.answer] if @path.by_steps? && numbers.last != @path.answer
        return numbers unless @answer

        numbers.include?(@answer) ? numbers[0..numbers.index(@answer)] : [*numbers[0...-1], @answer]
      end

      # What is put across or taken away, as the picture of the move shows it.
      def hands
        scene = @path.scenes.find { |each| each.moved.positive? || each.taken.positive? }
        return ["none", 0] unless scene && @random.rand < 0.6

        ["move", scene.moved.positive? ? scene.moved : scene.taken]
      end
    end
  end
end
