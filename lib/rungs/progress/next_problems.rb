# frozen_string_literal: true

module Rungs
  module Progress
    # What to ask a child next, for the rung above the working one: problems of the band being worked on that afford it, where it
    # costs clearly less work than the rung used now, not among the last ten, smallest whole first (field guide 10).
    module NextProblems
      # Less by this much is clearly less: one count fewer and then some.
      CLEARLY = 1.5
      LAST = 10

      Proposal = Struct.new(:problem, :aim, :why, keyword_init: true)

      FITTING = {} # rubocop:disable Style/MutableConstant
      private_constant :FITTING

      module_function

      # @param working [Integer, nil] the rung used now; nil is taken as the first
      # @param operation ["add", "subtract"]
      # @param band [String]
      # @param last [Array<Array<Integer>>] the facts of the last problems, newest last
      # @param count [Integer]
      # @return [Array<Proposal>] none where the band lets no higher rung show to advantage
      def propose(working:, operation:, band:, last: [], count: 3)
        now = working || 1
        facts = last.last(LAST)
        ((now + 1)..5).each do |aim|
          fitting = fitting(operation, band, now, aim).reject { |problem| facts.include?(problem.fact) }
          return fitting.first(count).map { |problem| Proposal.new(problem: problem, aim: aim, why: why(problem, now, aim)) } if fitting.any?
        end
        []
      end

      # Those of a band, smallest first, each fact once; worked out once, since every page about a child asks.
      def fitting(operation, band, now, aim)
        FITTING[[operation, band, now, aim]] ||= begin
          fitting = Problem::Pool.of(operation, band).problems.select { |problem| clearly_less?(problem, now, aim) }
          fitting.sort_by { |problem| [problem.whole, -problem.first, problem.second] }.uniq(&:fact).freeze
        end
      end

      # The rung used now as this problem lets it show: itself, or the next below.
      def clearly_less?(problem, now, aim)
        up, below = work(problem, aim), now.downto(1).filter_map { |rung| work(problem, rung) }.first
        up && below && below - up >= CLEARLY
      end

      def work(problem, rung) = Strategy::Path.cheapest(problem, rung)&.work

      def why(problem, now, aim)
        path = Strategy::Path.cheapest(problem, aim)
        used = now.downto(1).find { |rung| work(problem, rung) }
        "#{Strategy::Rung.at(aim).doing.sub(/\A./, &:upcase)} #{aim == 5 ? 'are' : 'is'} clearly less work than #{Strategy::Rung.at(used).doing}. Listen for: “#{path.says}”"
      end
      private_class_method :fitting, :clearly_less?, :work, :why
    end
  end
end
