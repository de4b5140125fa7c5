# frozen_string_literal: true

module Records
  class Ledger
    # What the records themselves say of a child: which stand, and how many.
    module FromRecords
      OWN = %i[id replaces_id undone beside happened_at problem_id account_id rung right help].freeze
      POSED = %i[id operation band affords situation parts unknown equation].freeze
      private_constant :OWN, :POSED

      private

      # What stands of a child, in order. Rows are put together here: of many that have just come in, the database knows
      # too little to do it quickly.
      def standing(child_id, operation: nil)
        stand = stand(child_id).reject { |row| row[:rung].nil? }
        operation ? stand.select { |row| row[:operation] == operation } : stand
      end

      def stand(child_id)
        versions = @classroom.observations_dataset.where(child_id: child_id).in_order.select(*OWN).naked.all
        replaced = versions.filter_map { |row| row[:replaces_id] }.to_set
        kept = versions.reject { |row| row[:undone] || row[:beside] || replaced.include?(row[:id]) }
        asked = DB[:problems].where(classroom_id: @classroom.id, id: kept.map { |row| row[:problem_id] }.uniq)
        posed = asked.select(*POSED).as_hash(:id)
        kept.map { |row| posed.fetch(row[:problem_id]).merge(row) }
      end

      def count_again(child_id)
        here(:tallies, child_id).for_update.first
        times = stand(child_id).map { |row| row[:happened_at] }
        records, last_at = times.size, times.max
        return here(:tallies, child_id).delete if records.zero?

        DB[:tallies].insert_conflict(target: %i[classroom_id child_id], update: { records: records, last_at: last_at })
                    .insert(classroom_id: @classroom.id, child_id: child_id, records: records, last_at: last_at)
      end

      # @return [Array<Hash>] of facts, without their key
      def facts_of(kept)
        about = kept.select { |_, _, record| record.about_fact? }
        about.each_with_object({}) do |(row, _, record), facts|
          before = facts[record.exact]&.fetch(:known)
          facts[record.exact] = fact_row(record, before, row[:happened_at])
        end.values
      end

      def scopes_of(row) = Scope.of(row[:band], row[:parts].to_a)
    end
  end
end
