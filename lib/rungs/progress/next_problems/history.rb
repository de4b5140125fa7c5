# frozen_string_literal: true

module Rungs
  module Progress
    module NextProblems
      # What a child was asked in an operation, and knows, as far as the next problem depends on it (guide 10).
      class History
        # Of the partners of ten, those by which a child has them.
        PARTNERS = [[2, 8], [3, 7], [4, 6]].freeze
        # Of the last answers so many are looked at, and so many of them wrong.
        STUMBLED = 5
        WRONG = 2
        # Right ones with a nine, from which on other numbers are asked.
        NINES = 2

        # @return [Array<Record>] of the operation, newest last
        attr_reader :records

        # @param records [Array<Record>] of the operation, newest last
        # @param others [Array<Record>] of the other operation
        def initialize(records, others = [])
          @records = records
          @others = others
        end

        NONE = new([])

        # @param facts [Array<Array<Integer>>] that were asked last, newest last
        # @return [History] in which nothing else is known
        def self.asked(facts) = new(facts.map { |fact| Record.new(fact: fact.sort, exact: fact) })

        # Whether a problem is not proposed: its fact is known, or was asked just now; where there is no making of ten
        # but nines, those.
        def leaves_out?(problem, aim)
          fact = problem.exact_fact
          return true if known[fact] || (aim == 4 && only_nines?(problem.band) && problem.parts.include?(9))

          band = Problem::Band::ALL.fetch(problem.band)
          asked_last(band, problem.operation, partners: band.partners && aim == 4).include?(fact)
        end

        # @return [Hash{Array<Integer> => Boolean}] by exact fact, whether it stands as known
        def known
          @known ||= records.select(&:about_fact?).each_with_object({}) do |record, facts|
            facts[record.exact] = Knowing.after(facts[record.exact], record)
          end
        end

        # @return [Array<Array<Integer>>] exact facts, newest last
        def last = @last ||= records.filter_map(&:exact)

        # Whether the child has the partners of ten: each last answered alone and right without counting, in any form
        # and operation.
        def partners?
          @partners ||= begin
            all = (records + @others).select(&:on_ladder?).sort_by.with_index { |record, at| [record.day, at] }
            latest = all.to_h { |record| [record.fact, record] }
            latest.values_at(*PARTNERS).all? { |each| each&.alone? && each.right && each.rung >= 3 }
          end
        end

        # Whether ten was made only with nines, and often enough.
        def only_nines?(band)
          made = in_band(band).select { |each| each.rung == 4 && each.right && each.alone? }
          made.size >= NINES && made.all? { |each| each.fact.include?(9) }
        end

        # Whether several of the last answers of a range were wrong.
        def stumbling?(band) = in_band(band).last(STUMBLED).count { |each| !each.right } >= WRONG

        private

        def in_band(band)
          records.select { |each| each.on_ladder? && Problem::Band.of(each.fact) == band }
        end

        def asked_last(band, operation, partners:)
          return last.select { |fact| of_ten?(fact, operation) }.last(LAST_PARTNERS) if partners

          facts = band.telling_facts.size * (operation == "add" ? 1 : 2)
          last.last([LAST, facts / 2].min)
        end

        def of_ten?(fact, operation) = (operation == "add" ? fact.sum : fact.first) == 10
      end
    end
  end
end
