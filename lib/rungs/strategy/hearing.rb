# frozen_string_literal: true

module Rungs
  module Strategy
    # Numbers heard, in order → the moves they fit, likeliest first, each with the reason and the slip it shows (guide
    # 5). It only proposes; the teacher confirms.
    #
    #   Hearing.of(problem, [9, 10, 11, 12, 13]).first.slip  # => "start_counted"
    class Hearing
      Rungs.shelve self

      QUICK_SECONDS = 3
      # The slip of a count that went wrong somewhere; it is in none of the tables of slips.
      MISCOUNT = "miscount"

      # @param problem [Problem]
      # @param numbers [Array<Integer>] as heard, at least one
      # @param seconds [Numeric, nil] to the answer
      # @param origin [Proc] a wrong answer → the slip it may come from, or nil (Slip.heard knows them)
      # @return [Array<Candidate>] confidences add up to 1
      # @raise [Error::Unreadable] where nothing was heard
      def self.of(problem, numbers, seconds: nil, origin: ->(_) {})
        raise Error::Unreadable, "no numbers were heard" if numbers.empty?

        new(problem, numbers, seconds, origin).candidates
      end

      def initialize(problem, numbers, seconds, origin)
        @problem = problem
        @heard = numbers
        @seconds = seconds
        @origin = origin
      end

      # @return [Array<Candidate>]
      def candidates
        found = @heard.size == 1 ? Alone.new(@problem, @heard.first, @seconds, @origin).candidates : counted
        found = [Candidate.off("unseen", 0.5, @heard.last, "these numbers fit no move that works here")] if found.empty?
        best = found.group_by { |each| [each.rung, each.move, each.slip] }.map { |_, same| same.max_by(&:confidence) }
        total = best.sum(&:confidence)
        shares = best.map { |each| each.with(confidence: (each.confidence / total).round(3)) }
        shares.sort_by.with_index { |each, index| [-each.confidence, index] }
      end

      private

      # A part may be said after the count that found it: "8, 9, 10, 11, 12 … five".
      def counted
        whole_run = fitting(@heard)
        return whole_run unless answer_follows?

        before = fitting(@heard[0...-1])
        told = before.select { |each| each.answer == @heard.last }
        whole_run + (told.any? ? told : before.filter_map { |each| each.said(@heard.last, @problem) })
      end

      # Whether the last number is no step of the count before it.
      def answer_follows?
        return false if @problem.add? || @heard.size < 3

        before_last, last_step = @heard.last(3).each_cons(2).map { |one, after| after - one }
        before_last != last_step
      end

      def fitting(numbers)
        [Objects, Steps, Landings].flat_map { |kind| kind.new(@problem, numbers).candidates }
      end
    end
  end
end
