# frozen_string_literal: true

module Rungs
  module Strategy
    class Hearing
      # Runs that begin again at one: objects are counted.
      class Objects
        SAID = { 1 => "one count", 2 => "two counts", 3 => "three counts" }.freeze

        def initialize(problem, heard)
          @problem = problem
          @heard = heard
          @runs = heard.slice_when { |_, after| after == 1 }.to_a
        end

        # @return [Array<Candidate>]
        def candidates
          return [] unless @heard.first == 1 && @heard.size > 1 && @runs.size <= 3 && nearly_smooth?

          (@problem.add? ? together : apart).select { |each| each.confidence.positive? }
        end

        private

        def ends = @runs.map(&:last)
        def smooth = @runs.map { |run| run == [*1..run.size] }

        # At most one run with a slip of one word in it.
        def nearly_smooth?
          smooth.count(false) <= 1 && @runs.all? do |run|
            run.each_cons(2).all? do |one, after|
              (after - one).between?(0, 2)
            end
          end
        end

        def counts = "#{SAID.fetch(@runs.size)} from one"

        def together
          if only_the_sets?
            return [candidate("all_objects", 1.0, nil,
                              "each set from one, and the whole was not counted yet")]
          end

          alone = @runs.size == 1
          out = alone ? "one count from one to the end, the sets already out" : "#{counts}, the last of everything"
          [candidate("all_objects", near(ends.last, @problem.whole), ends.last, out)]
        end

        def only_the_sets? = @runs.size > 1 && ends.sort == @problem.parts.sort && smooth.all?

        def apart
          w, p, q = @problem.whole, @problem.given, @problem.sought
          open = @runs.size == 2 && ends == [w, p] && p != q
          answer = open ? nil : ends.last
          removed = near(ends.first, w) * (open ? 1.0 : near(ends.last, q))
          built = near(ends.first, p) * near(ends.last, q)
          [["all_remove", removed, "#{counts}: the whole first, what is left last"],
           ["all_match", removed, "#{counts}: one row, the other, then those without a partner"],
           ["all_build_up", built, "#{counts}: the part first, the new ones last"]]
            .select { |move, *| Path.by(@problem, move) }
            .map { |move, weight, why| candidate(move, weight, move == "all_build_up" ? ends.last : answer, why) }
        end

        # How well a count's end fits: exactly, one off, or not.
        def near(number, wanted) = { 0 => 1.0, 1 => 0.5 }.fetch((number - wanted).abs, 0.0)

        def candidate(move, weight, answer, why)
          slip = MISCOUNT if smooth.include?(false) || (answer && answer != @problem.answer)
          Candidate.of(Move::ALL.fetch(move), weight, answer, why, slip: slip)
        end
      end
    end
  end
end
