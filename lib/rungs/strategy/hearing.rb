# frozen_string_literal: true

module Rungs
  module Strategy
    # Numbers heard, in order → the moves they fit, likeliest first, each with the reason and the slip it shows (field guide
    # 5). It only proposes; the teacher confirms.
    #
    #   Hearing.of(problem, [9, 10, 11, 12, 13]).first.slip  # => "start_counted"
    class Hearing
      Candidate = Struct.new(:rung, :move, :slip, :answer, :confidence, :why, keyword_init: true)
      QUICK_SECONDS = 3

      # @param problem [Problem]
      # @param numbers [Array<Integer>] as heard, at least one
      # @param seconds [Numeric, nil] to the answer
      # @return [Array<Candidate>] confidences add up to 1
      # @raise [Error::Unreadable] where nothing was heard
      def self.of(problem, numbers, seconds: nil)
        raise Error::Unreadable, "no numbers were heard" if numbers.empty?

        new(problem, numbers, seconds).candidates
      end

      def initialize(problem, numbers, seconds)
        @problem = problem
        @heard = numbers
        @seconds = seconds
      end

      def candidates
        found = only_the_answer || [*counted_everything, *counted_on, *landed]
        found = [unseen(0.5, "these numbers fit no move that works here")] if found.empty?
        best = found.group_by { |each| [each.move, each.slip] }.map { |_, same| same.max_by(&:confidence) }
        total = best.sum(&:confidence)
        best.each { |each| each.confidence = (each.confidence / total).round(3) }.sort_by.with_index { |each, index| [-each.confidence, index] }
      end

      private

      attr_reader :problem, :heard

      def paths = @paths ||= problem.paths

      def candidate(move_id, weight, why, slip: nil, answer: problem.answer)
        move = Move::ALL.fetch(move_id)
        Candidate.new(rung: move.rung_id, move: move.id, slip: slip, answer: answer, confidence: weight, why: why)
      end

      def unseen(weight, why) = Candidate.new(rung: "unseen", move: nil, slip: nil, answer: heard.last, confidence: weight, why: why)

      def only_the_answer
        return unless heard.size == 1
        return [candidate("recall", 0.9, "only the answer, within #{QUICK_SECONDS} seconds", answer: heard.first)] if @seconds && @seconds <= QUICK_SECONDS
        return [unseen(0.9, "only the answer, after #{@seconds} seconds: nobody saw how")] if @seconds

        [unseen(0.6, "only the answer, and no time was taken"), candidate("recall", 0.4, "only the answer; at once, it would be known", answer: heard.first)]
      end

      # Runs that begin again at one.
      def counted_everything
        return [] unless heard.first == 1 && heard.size > 1

        runs = heard.slice_when { |_, after| after == 1 }.to_a
        smooth = runs.map { |run| run == [*1..run.size] }
        return [] unless runs.all? { |run| run.each_cons(2).all? { |one, after| (after - one).between?(0, 2) } } && smooth.count(false) <= 1 && runs.size <= 3

        count_all_moves(runs).map { |move, weight, why, answer| candidate(move, weight, why, answer: answer, slip: ("miscount" if smooth.include?(false) || answer != problem.answer)) }
      end

      def count_all_moves(runs)
        last = runs.last.last
        sets = "#{{ 1 => 'one count', 2 => 'two counts', 3 => 'three counts' }[runs.size]} from one"
        if problem.add?
          [["all_objects", near(last, problem.whole), runs.size == 1 ? "one count from one to the end, with both sets already out" : "#{sets}, the last of everything", last]]
        else
          removed = ["all_remove", near(runs.first.last, problem.whole) * near(last, problem.sought), "#{sets}: the whole first, what is left last", last]
          built = ["all_build_up", near(runs.first.last, problem.given) * near(last, problem.sought), "#{sets}: the part first, the new ones last", last]
          fitting = paths.map { |path| path.move.id }
          [removed, built].select { |move, weight, *| weight.positive? && fitting.include?(move) }
        end.select { |_, weight, *| weight.positive? }
      end

      # How well a count's end fits: exactly, one off, or not.
      def near(number, wanted) = { 0 => 1.0, 1 => 0.5 }.fetch((number - wanted).abs, 0.0)

      def counted_on = paths.select { |path| path.rung == 2 && path.landings.size > 1 }.flat_map { |path| stepwise(path) } + from_the_smaller

      # Against one path by ones or equal steps: in full, with or without the start; counting the start; a slip of one word.
      def stepwise(path)
        start, *words = path.landings
        move = path.move.id
        return [candidate(move, 1.0, "from #{start}, which was not said again, to #{words.last}")] if heard == words
        return [candidate(move, 0.9, "from #{start} to #{words.last} in #{words.size == 1 ? 'one step' : "#{words.size} steps"}")] if heard == path.landings
        if heard.size > 1 && heard == path.landings[0...-1]
          return [candidate(move, 0.8, "#{start} was counted as the first step, so it ended one short", slip: "start_counted",
                                                                                                        answer: said_by_start_counter(path))]
        end

        miscounted(path, start, words)
      end

      # One short on the line; where the steps themselves are the answer, one step too many.
      def said_by_start_counter(path) = %w[back_to up_to].include?(path.move.id) ? heard.size : heard.last

      # One word left out, or one said twice.
      def miscounted(path, start, words)
        step = words.first - start
        return [] unless [start, words.first].include?(heard.first) && heard.size > 1

        steps = heard.each_cons(2).map { |one, after| after - one }
        odd = steps.reject { |each| each == step }
        return [] unless odd.size == 1 && [0, step * 2].include?(odd.first) && (heard.last - words.last).abs <= step.abs

        [candidate(path.move.id, 0.5, odd.first.zero? ? "one number was said twice" : "one number was skipped", slip: "miscount",
                                                                                                                answer: %w[back_to up_to].include?(path.move.id) ? steps.size : heard.last)]
      end

      # Counting on from the second number, though it is the smaller.
      def from_the_smaller
        return [] unless problem.add? && problem.parts.size == 2 && problem.second < problem.first && problem.second.positive?

        on = [*problem.second..problem.whole]
        return [candidate("on_first", 0.7, "from #{problem.second}, the smaller number, to #{problem.whole}")] if [on, on.drop(1)].include?(heard)
        return [candidate("on_first", 0.6, "#{problem.second} was counted as the first step, so it ended one short", slip: "start_counted", answer: heard.last)] if heard == on[0...-1]

        []
      end

      # Two or three landings: a way through ten, a double and its neighbour, tens and ones.
      def landed
        return [] unless heard.size.between?(2, 3)

        paths.select { |path| path.rung.between?(3, 4) && path.landings.size > 1 }.filter_map do |path|
          if heard == path.landings then candidate(path.move.id, 0.9, "it lands on #{path.landings.join(', ')}")
          elsif heard == path.landings.drop(1) then candidate(path.move.id, 0.85, "it lands on #{path.landings.drop(1).join(', ')} from #{path.landings.first}")
          end
        end
      end
    end
  end
end
