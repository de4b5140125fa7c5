# frozen_string_literal: true

module Rungs
  module Progress
    # What to ask a child next, in an operation and band (guide 10): problems that let a reasoning rung above the
    # working one show to advantage. Where there is none to aim at, facts that were reasoned right before, to hear
    # whether they come at once now.
    #
    #   NextProblems.propose(working: 3, operation: "add", band: "bridge").first.problem.to_s  # => "9 + 6 = □"
    module NextProblems
      # How many of the last problems are not asked again.
      LAST = 10
      # By the working rung, the rungs to aim at; the later one where the band has no problem for the one before.
      AIMS = { 1 => [2], 2 => [3, 4], 3 => [4] }.freeze
      # For an aim that is reasoning, no part is less than this.
      LEAST_PART = 2
      # For counting on: little is put to, or taken from, much.
      COUNTED_ON = (1..3)
      COUNTED_FROM = { "add" => 4, "subtract" => 5 }.freeze

      # problem: a Problem. aim: the rung, 2 to 4. move: the id of the move hoped for. why: a sentence or two for the
      # teacher.
      Proposal = Struct.new(:problem, :aim, :move, :why, keyword_init: true)
      # problem: a Problem. times: how often its fact was reasoned right.
      Again = Struct.new(:problem, :times, keyword_init: true)

      FITTING = {} # rubocop:disable Style/MutableConstant
      private_constant :FITTING

      module_function

      # @param working [Integer, nil] the working rung; nil where not enough was heard
      # @param operation ["add", "subtract"]
      # @param band [String]
      # @param last [Array<Array<Integer>>] the facts of the last problems, newest last
      # @param count [Integer]
      # @return [Array<Proposal>] none where there is no aim, or no problem is left that fits
      def propose(working:, operation:, band:, last: [], count: 3)
        aim = aim(working, operation, band) or return []

        asked = last.last(LAST)
        fresh = fitting(operation, band, working, aim).reject { |problem| asked.include?(problem.fact) }
        fresh.first(count).map { |problem| proposal(problem, aim) }
      end

      # @return [Integer, nil] the rung to aim at; nil above part–whole, or where the band lets no higher one show
      def aim(working, operation, band)
        AIMS.fetch(working, []).find { |aim| fitting(operation, band, working, aim).any? }
      end

      # Facts reasoned right at least twice and not yet known.
      # @param records [Array<Record>] of the operation
      # @return [Array<Again>] those reasoned most often first
      def again(records, operation:, band:, count: 3)
        right = records.select { |record| record.weighed? && record.right }
        known = right.select { |record| record.rung == 5 }.map(&:fact)
        times = right.select { |record| record.rung.between?(3, 4) }.map(&:fact).tally.except(*known)
        times.select { |fact, often| often >= 2 && fact.size == 2 && Problem::Band.of(fact) == band }
             .sort_by { |fact, often| [-often, fact.sum, fact] }.first(count)
             .map { |fact, often| Again.new(problem: Problem::Pool.bare(operation, fact.max, fact.min), times: often) }
      end

      # Those of a band, best first, each fact once, the larger number first; worked out once, since every page asks.
      def fitting(operation, band, working, aim)
        FITTING[[operation, band, working, aim]] ||= begin
          problems = Problem::Band::ALL.fetch(band).pairs.map do |first, second|
            Problem::Pool.bare(operation, first,
                               second)
          end
          fit = problems.select { |problem| fits?(problem, aim) }
          fit.sort_by { |problem| order(problem, working, aim) }.uniq(&:fact).freeze
        end
      end

      def fits?(problem, aim)
        return false if problem.add? && problem.first < problem.second
        return counted_on?(problem) if aim == 2

        problem.smaller >= LEAST_PART && Strategy::Pull.new(problem).rung == aim
      end

      def counted_on?(problem)
        from, by = problem.add? ? problem.parts : [problem.whole, problem.given]
        COUNTED_ON.cover?(by) && by < from && from >= COUNTED_FROM.fetch(problem.operation)
      end

      # What it saves, most first; those with a nine; the smaller whole; the larger first numbers.
      def order(problem, working, aim)
        works = Strategy::Pull.new(problem).steps.to_h { |step| [step.rung, step.work] }
        saves = works.select { |rung, _| rung <= working }.values.min - works.fetch(aim)
        [-saves, problem.parts.include?(9) ? 0 : 1, problem.whole, -problem.leading_number, -problem.parts[0]]
      end

      def proposal(problem, aim)
        path = problem.paths.select { |each| each.rung == aim && each.move.pulls? }.min_by(&:work)
        why = "#{Rungs.capital(Strategy::Rung.at(aim).doing)} would show here: #{path.move.title}. Listen for " \
              "“#{path.says}”"
        Proposal.new(problem: problem, aim: aim, move: path.move.id, why: why)
      end
      private_class_method :fitting, :fits?, :counted_on?, :order, :proposal
    end
  end
end
