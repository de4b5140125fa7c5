# frozen_string_literal: true

module Rungs
  module Progress
    module NextProblems
      # One problem where a slip that came twice could come again, before anything new (guide 10).
      module Slipped
        MISSING = "%d + ? = %d"

        module_function

        # @param slip [Slip]
        # @param history [History]
        # @return [Proposal, nil] the smallest, of a fact that is neither known nor was asked last; nil where it cannot
        #   come with these numbers
        def propose(slip, operation:, band:, history:)
          fit = problems(operation, band).select do |problem|
            slip.answers(problem).any? && Slip.for(problem).include?(slip)
          end
          fresh = fit.reject { |problem| history.known[problem.exact_fact] }
          problem = (fresh.reject { |each| history.last.last(LAST).include?(each.exact_fact) } + fresh).first or return
          Proposal.new(problem: problem, telling: false,
                       why: "#{Rungs.capital(slip.title)} came twice: it could come again here. " \
                            "Ask: “#{slip.ask(problem)}”")
        end

        # Those that tell, those that are counted on first, then the smaller; as sums or taken away, then with the part
        # missing.
        def problems(operation, band)
          facts = Problem::Band::ALL.fetch(band).telling_facts.sort_by do |small, large|
            [small > 3 ? 1 : 0, small + large]
          end
          plain = facts.map do |small, large|
            Problem::Pool.bare(operation, *(operation == "add" ? [large, small] : [small, large]))
          end
          return plain if operation == "add"

          plain + facts.map { |small, large| Problem::Equation.parse(format(MISSING, large, small + large)).to_problem }
        end
        private_class_method :problems
      end
    end
  end
end
