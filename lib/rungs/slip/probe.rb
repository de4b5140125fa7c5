# frozen_string_literal: true

module Rungs
  class Slip
    # A problem of the same band and form on which the slips that fit predict different answers, chosen to separate them
    # best: largest expected information over their shares; ties to the smallest whole, then the smallest first number;
    # never the problem just used (guide 6).
    class Probe
      attr_reader :problem, :predicts, :information

      # @param diagnosis [Diagnosis] with two slips or more
      # @return [Probe, nil] nil where they give the same answer everywhere
      def self.best(diagnosis)
        probes = candidates(diagnosis.problem).map { |problem| new(problem, diagnosis.slips) }
        probes.select { |probe| probe.information.positive? }
              .min_by { |probe| [-probe.information.round(9), probe.problem.whole, probe.problem.leading_number] }
      end

      # A second look at one slip: the smallest problem on which fewest others of its table give the same answer.
      # @param match [Diagnosis::Match]
      # @return [Problem, nil]
      def self.second_look(problem, match)
        shown = candidates(problem).reject { |each| match.slip.predict(each, match.place) == each.answer }
        shown.min_by { |each| [alike(each, match), each.whole, each.leading_number] }
      end

      # @return [Array<Problem>] all of the same band and form but this one
      def self.candidates(problem)
        return [] unless problem.parts.size == 2

        pairs = Problem::Band::ALL.fetch(problem.band).pairs.reject { |pair| pair == problem.parts }
        pairs = pairs.select { |pair| problem.situation.tells?(pair) } if problem.situation
        pairs = pairs.select { |pair| pair.min.positive? } unless problem.smaller.zero?
        pairs.map { |pair| problem.like(pair) }
      end

      # How many slips would say there what this one would.
      def self.alike(problem, match)
        said = match.slip.predict(problem, match.place)
        Slip.for(problem).count { |slip| slip.fits?(match.slip.rungs.first) && slip.place_of(said, problem) }
      end
      private_class_method :alike

      # @param matches [Array<Diagnosis::Match>]
      def initialize(problem, matches)
        @problem = problem
        @predicts = matches.to_h { |match| [match.id, match.slip.predict(problem, match.place)] }
        alike = matches.group_by { |match| @predicts[match.id] }.values
        @information = entropy(alike.map { |same| same.sum(&:share) })
      end

      def to_h = { problem: problem.to_s, predicts: predicts }

      private

      # In bits.
      def entropy(shares) = shares.size == 1 ? 0.0 : -shares.sum { |share| share * Math.log2(share) }
    end
  end
end
