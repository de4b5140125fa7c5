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

      def enough? = own.values.sum(&:size) >= Rungs::Planning::Heard::LEAST
      def count(range) = own.fetch(range, []).count { |row| row.told.tells }

      def telling(range, from: nil)
        first = from ? (from - EPOCH).to_i : 0
        own.fetch(range, []).select { |row| row.told.tells && row.days >= first }.map { |row| @class_of.record(row) }
      end

      def rung_on(range, day)
        days = @class_of.rungs(@operation, range).fetch(@child.id, {})
        days.fetch(day) { days.keys.reverse_each.find { |each| each < day }.then { |last| last && days[last] } }
      end

      # As the ledger has it, but where answers to missing parts count too.
      def estimate(range)
        @estimates[range] ||= begin
          missing = all.any? { |row| missing_part?(row, range) }
          there = missing ? all.select { |row| own?(row, range) || missing_part?(row, range) } : own.fetch(range, [])
          records = made(there)
          missing ? estimate_of(records, range) : kept(records, range)
        end
      end

      def known = @class_of.known(@operation).fetch(@child.id, [])

      def partners? = history(all.select { |row| PARTNERS.include?(row.told.fact) }).partners?
      def stumbling?(range) = history(own.fetch(range, []).last(History::STUMBLED)).stumbling?(range)
      def only_nines?(range) = history(own.fetch(range, []).select { |row| row.rung == 4 }).only_nines?(range)

      private

      def all = @class_of.by_child.fetch(@child.id, [])
      def own = @own ||= all.select { |row| row.told.operation == @operation }.group_by { |row| row.told.band }
      def own?(row, range) = row.told.operation == @operation && row.told.band == range

      def missing_part?(row, range)
        row.told.missing && row.told.operation != @operation && row.told.band == range
      end

      def made(rows) = rows.map { |row| @class_of.record(row) }
      def history(rows) = History.new(made(rows))

      def estimate_of(records, range)
        Rungs::Progress::Estimate.of(records, on: @before - 1, scope: Rungs::Progress::Scope.of(@operation, range))
      end

      def kept(records, range)
        @class_of.evidence.as_of(@child, @operation, range, @before - 1, records)
      end
    end
  end
end
