# frozen_string_literal: true

module Rungs
  module Progress
    # What to ask a child next, in an operation and band (guide 10): problems that let a reasoning rung above the
    # working one show to advantage; where it is not clear how the child works, the problem that tells most; where there
    # is nothing to aim at, the same facts in another way.
    #
    #   NextProblems.propose(working: 3, operation: "add", band: "bridge").first.problem.to_s  # => "9 + 6 = □"
    module NextProblems
      Rungs.shelve self

      # How many of the last facts are not asked again, where the band has twice as many; of the partners of ten.
      LAST = 10
      LAST_PARTNERS = 2
      # By the rung worked out by, the rungs to aim at; the later one where the band has no problem for the one before.
      AIMS = { 1 => [2], 2 => [3, 4], 3 => [4] }.freeze
      COUNTED_FROM = { "add" => 4, "subtract" => 5 }.freeze
      # Of problems that tell most, so many one after the other.
      RUNNING = 2

      # problem: a Problem. aim: the rung, and move: the id of the move hoped for; nil where it is no aim. why: a
      # sentence or two for the teacher. telling: whether it is asked to see how the child works.
      Proposal = Struct.new(:problem, :aim, :move, :why, :telling, keyword_init: true)

      FITTING = {} # rubocop:disable Style/MutableConstant
      private_constant :FITTING

      module_function

      # @param working [Integer, nil] the rung worked out by; nil where not enough was heard
      # @param operation ["add", "subtract"]
      # @param band [String]
      # @param history [History] what the child was asked and knows
      # @param count [Integer]
      # @return [Array<Proposal>] none where there is no aim, or no problem is left that fits
      def propose(working:, operation:, band:, history: History::NONE, year: "first", count: 3)
        aim = aim(working, operation, band, year: year, history: history) or return []

        fresh = fitting(operation, band, working, aim).reject { |each| history.leaves_out?(each.problem, aim) }
        varied(fresh, count)
      end

      # The same for a child, as the estimate has it: first a problem where a slip that came twice could come again;
      # what tells most where it is not clear, and something beyond where there is nothing to aim at.
      # @param estimate [Estimate] in that operation and band
      # @param history [History] of the child
      # @param slip [Slip, nil] that came twice
      # @return [Array<Proposal>] none where not enough was heard: a check-in is due
      def for_child(estimate, operation:, band:, history:, year: "first", slip: nil, count: 3)
        return [] unless estimate.enough?

        place = { operation: operation, band: band }
        return Telling.propose(estimate, history: history, **place) unless estimate.knows? || estimate.aim_from

        found = propose(working: estimate.aim_from, history: history, year: year, count: count, **place) unless
          estimate.knows?
        found = Beyond.propose(history.records, count: count, **place) if found.nil? || found.empty?
        again = Slipped.propose(slip, history: history, **place) if slip
        [again, *found].compact.first(count)
      end

      # @return [Integer, nil] the rung to aim at; nil where the band lets no higher one show
      def aim(working, operation, band, year: "first", history: History::NONE)
        aims(working, Problem::Band::ALL.fetch(band), year, history).find do |aim|
          fitting(operation, band, working, aim).any?
        end
      end

      # Beginners have an order of their own in some ranges, and begin again with things where they stumble; who has
      # the partners of ten has nothing more to make there.
      def aims(working, band, year, history)
        beginning = year == "kindergarten" ? band.beginning : {}
        return [1] if working && beginning.any? && history.stumbling?(band.id)
        return [4] if working == 4 && history.only_nines?(band.id)

        aims = beginning[working] || band.aims[working] || AIMS.fetch(working, [])
        band.partners && history.partners? ? aims - [4] : aims
      end

      # Whether the numbers of a fact fit an aim, either way round.
      # @param fact [Array(Integer, Integer)]
      def aims?(operation, fact, aim)
        [fact, fact.reverse].any? { |pair| fits?(Problem::Pool.bare(operation, *pair), aim) }
      end

      # What works towards the aim, that of most use first: of each move hoped for, what practises it.
      # @return [Array<String>]
      def practised(working, operation, band)
        aim = aim(working, operation, band) or return []
        moves = fitting(operation, band, working, aim).map(&:move).uniq
        moves.map { |move| Strategy::Move::ALL.fetch(move).practised }.uniq
      end

      # Those of a band, best first, each fact once, the larger number first; worked out once, since every page asks.
      # @return [Array<Proposal>]
      def fitting(operation, band, working, aim)
        FITTING[[operation, band, working, aim]] ||= begin
          pairs = Problem::Band::ALL.fetch(band).pairs
          problems = pairs.map { |first, second| Problem::Pool.bare(operation, first, second) }
          fit = problems.select { |problem| fits?(problem, aim) }
          fit.sort_by { |problem| order(problem, working, aim) }.uniq { |each| each.add? ? each.fact : each.exact_fact }
             .map { |problem| proposal(problem, aim) }.freeze
        end
      end

      def fits?(problem, aim)
        return false if !problem.tells? || (problem.add? && problem.first < problem.second)
        return true if aim == 1
        return counted_on?(problem) if aim == 2
        return problem.affords.include?(aim) if band_of(problem).any_shows || (aim == 4 && band_of(problem).partners)

        Strategy::Pull.new(problem).rung == aim
      end

      # Two or three are put to a number large enough to be held; or go, or are left.
      def counted_on?(problem)
        few = band_of(problem).counted_on
        return few.cover?(problem.second) && problem.first >= COUNTED_FROM["add"] if problem.add?

        problem.whole >= COUNTED_FROM["subtract"] && problem.parts.any? { |part| few.cover?(part) }
      end

      def band_of(problem) = Problem::Band::ALL.fetch(problem.band)

      # What it saves, most first; those with a nine; the smaller whole; the larger first numbers.
      def order(problem, working, aim)
        works = paths(problem).group_by(&:rung).transform_values { |all| all.map(&:work).min }
        saves = works.select { |rung, _| rung <= working }.values.min - works.fetch(aim)
        [-saves, problem.parts.include?(9) ? 0 : 1, problem.whole, -problem.leading_number, -problem.parts[0]]
      end

      # Those that count among what it invites; by tens, counting on in equal steps where it can be.
      def paths(problem)
        plain = problem.paths.select { |path| path.move.pulls? }
        steps = band_of(problem).in_steps ? problem.paths - plain : []
        steps.empty? ? plain : plain.reject { |path| path.rung == 2 } + steps
      end

      def proposal(problem, aim)
        ways = paths(problem).select { |each| each.rung == aim }.sort_by(&:work)
        why = "#{Rungs.capital(Strategy::Rung.at(aim).doing)} would show here: #{ways.first.move.title}. Listen for " \
              "#{ways.map { |path| "“#{path.says}”" }.uniq.join(' or ')}"
        Proposal.new(problem: problem, aim: aim, move: ways.first.move.id, why: why, telling: false)
      end

      # Down the order: first those that hope for a move not taken yet, then those that share no number with those
      # taken, then any.
      def varied(fresh, count)
        (1..count).each_with_object([]) do |_, taken|
          left = fresh - taken
          moves, numbers = taken.map(&:move), taken.flat_map { |each| each.problem.parts }
          following = left.find { |each| !moves.include?(each.move) } ||
                      left.find { |each| !each.problem.parts.intersect?(numbers) } || left.first
          taken << following if following
        end
      end
      private_class_method :aims, :fits?, :counted_on?, :order, :paths, :proposal, :varied
    end
  end
end
