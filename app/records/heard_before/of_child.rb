# frozen_string_literal: true

module Records
  class HeardBefore
    # Of one child, in one operation, as Rungs::Planning::Heard has it.
    class OfChild
      History = Rungs::Progress::NextProblems::History
      PARTNERS = History::PARTNERS
      private_constant :History, :PARTNERS

      # @param class_of [HeardBefore]
      def initialize(class_of, child, operation)
        @class_of = class_of
        @child = child
        @operation = operation
        @before = class_of.day
        @estimates = {}
      end

      def enough?
        RANGES.sum { |range| late(range).size } >= LEAST || RANGES.sum { |range| all(range).size } >= LEAST
      end

      # At least so many as a plan asks for.
      def count(range)
        few = late(range).count { |row| row.asked.tells }
        few >= LEAST ? few : all(range).count { |row| row.asked.tells }
      end

      def telling(range, from: nil)
        there = from && from >= @class_of.first ? late(range) : all(range)
        days = from ? (from - EPOCH).to_i : 0
        made(there.select { |row| row.asked.tells && row.days >= days })
      end

      def rung_on(range, day)
        days = @class_of.rungs(@operation, range).fetch(@child.id, {})
        days.fetch(day) { days.keys.reverse_each.find { |each| each < day }.then { |last| last && days[last] } }
      end

      # As the ledger has it, but where answers to missing parts count too.
      def estimate(range)
        @estimates[range] ||= begin
          missing = @class_of.missing_parts?(OTHER.fetch(@operation), range) ? missing_parts(range) : []
          missing.any? ? estimate_of(made((all(range) + missing).sort), range) : estimate_stored(range)
        end
      end

      def known = @class_of.known(@operation).fetch(@child.id, [])

      # The latest answers of all three say it.
      def partners?
        late = partners { |operation| late(TO_TEN, operation) }
        unless (PARTNERS - late.map { |row| row.asked.fact }).empty?
          late = partners do |operation|
            all(TO_TEN, operation)
          end
        end
        history(late).partners?
      end

      def stumbling?(range)
        there = late(range).size < History::STUMBLED ? all(range) : late(range)
        history(there.last(History::STUMBLED)).stumbling?(range)
      end

      def only_nines?(range) = history(all(range).select { |row| row.rung == 4 }).only_nines?(range)

      private

      RANGES = Rungs::Planning::Ranges::ORDER
      OTHER = Rungs::Planning::Following::OTHER
      TO_TEN = "to10"
      LEAST = Rungs::Planning::Heard::LEAST
      SEVERAL = EstimateRows::RULE.several
      private_constant :RANGES, :OTHER, :TO_TEN, :LEAST, :SEVERAL

      def late(range, operation = @operation) = @class_of.late.fetch([@child.id, operation, range], [])

      def all(range, operation = @operation)
        (@all ||= {})[[range, operation]] ||=
          @class_of.earlier(operation, range).fetch(@child.id, []) + late(range, operation)
      end

      # @yield [operation] → its rows
      def partners(&block)
        OTHER.keys.flat_map(&block).select { |row| PARTNERS.include?(row.asked.fact) }.sort
      end

      def missing_parts(range) = all(range, OTHER.fetch(@operation)).select { |row| row.asked.missing }
      def made(rows) = rows.map { |row| @class_of.record(row) }
      def history(rows) = History.new(made(rows))

      def estimate_of(records, range)
        Rungs::Progress::Estimate.of(records, on: @before - 1, scope: Rungs::Progress::Scope.of(@operation, range))
      end

      def estimate_stored(range)
        enough = late(range).count { |row| row.rung < 5 && row.asked.tells } >= SEVERAL
        @class_of.evidence.as_of(@child, @operation, range, @before - 1, made(enough ? late(range) : all(range)))
      end
    end
  end
end
