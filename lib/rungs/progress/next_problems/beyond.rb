# frozen_string_literal: true

module Rungs
  module Progress
    module NextProblems
      # Where there is nothing to aim at: a fact that is right here in another way, with a missing part, in the next
      # ten; and every second time one that was reasoned right before, to hear whether it comes at once.
      module Beyond
        WAYS = { "Ask for another way of the same." => ->(operation, p, q) { Problem::Pool.bare(operation, p, q) },
                 "The same with a part missing." => ->(_, p, q) { read("#{q} + ? = #{p + q}") },
                 "The same on both sides of the sign." => ->(_, p, q) { read("#{p} + #{q} = ? + #{q + 1}") if p > 1 },
                 "The same in the next ten." => lambda { |operation, p, q|
                   next if p >= 10

                   read(operation == "add" ? "2#{p} + #{q} = ?" : "#{p + q + 20} - #{q} = ?")
                 } }.freeze

        module_function

        # @param records [Array<Record>] of the operation, newest last
        # @return [Array<Proposal>]
        def propose(records, operation:, band:, count: 3)
          there = records.select { |each| each.on_ladder? && each.exact && Problem::Band.of(each.fact) == band }
          by_heart = records.size.even? ? again(there, operation).first(1) : []
          [*by_heart, *ways(there, operation)].first(count)
        end

        # The last fact that was right, in every other way.
        def ways(records, operation)
          fact = records.reverse.find(&:right)&.fact or return []
          made = WAYS.map { |why, way| [way.call(operation, fact.max, fact.min), why] }
          made.select(&:first).map { |problem, why| Proposal.new(problem: problem, why: why, telling: false) }
        end

        # Facts reasoned right, not known yet and not answered wrong since.
        def again(records, operation)
          known = History.new(records).known
          open = records.group_by(&:exact).select do |fact, all|
            all.last.right && !known[fact] && reasoned(all) >= DueFacts::OFTEN
          end
          open.sort_by { |fact, all| [-reasoned(all), fact.sum, fact] }.map do |fact, all|
            numbers = operation == "add" ? fact.reverse : [fact.last, fact.first - fact.last]
            Proposal.new(problem: Problem::Pool.bare(operation, *numbers), telling: false,
                         why: "Reasoned right #{reasoned(all)} times: hear whether it comes at once.")
          end
        end

        def reasoned(records) = records.count { |each| each.right && each.rung.between?(3, 4) }
        def read(text) = Problem::Equation.parse(text).to_problem
        private_class_method :ways, :again, :reasoned
      end
    end
  end
end
