# frozen_string_literal: true

module Records
  class Evidence
    # The records themselves, read only where a page shows them.
    class Answers
      # @param classroom [Classroom]
      def initialize(classroom)
        @classroom = classroom
      end

      # @param day [Date]
      # @return [Hash{Rungs::Slip => Array<Integer>}] with whose they were, as often as they were made
      def slips_of_late(day)
        rows = @classroom.observations_dataset.standing.exclude(slip: nil).with_posed
                         .where(Sequel[:happened_at] > @classroom.midnight(day - SLIP_DAYS))
                         .columns_of(%i[child_id slip], %i[situation parts unknown equation])
        made = rows.group_by { |row| Rungs::Slip.on(PosedProblem.problem_of(row), row[:slip]) }.except(nil)
        made.transform_values { |all| all.map { |row| row[:child_id] } }
      end

      # @return [Array<Heard>] one child's records there, in the order they happened
      def heard_of(child, operation, scope) = all(child).select { |each| each.of?(operation, scope) }

      # @return [Array<Array(Array<Integer>, String)>] facts that are due for the most children, and why
      def due_facts(operation, on:)
        by_child = heard({ child_id: @classroom.children.map(&:id) }, Sequel[:posed][:operation] => operation)
                   .group_by(&:child_id)
        Rungs::Progress::DueFacts.most(by_child.values.map { |all| all.map(&:record) }, on: on)
      end

      # @return [Array<Heard>] everything heard of a child
      def all(child) = (@all ||= {})[child.id] ||= heard({ child_id: child.id })

      # @param days [Range<Date>] without the last
      # @return [Array<Heard>] of everybody, all that was heard on those days
      def late(days)
        times = @classroom.midnight(days.begin)...@classroom.midnight(days.end)
        heard({ child_id: @classroom.children.map(&:id), happened_at: times })
      end

      # @param ids [Array<Integer>] of children
      # @param facts [Array<Array<Integer>>] the smaller part first
      # @return [Array<Heard>] all that was heard of them on these facts before a day
      def before(day, ids, facts)
        parts = facts.flat_map { |fact| [fact, fact.reverse] }.uniq.map { |each| Sequel.pg_array(each, :integer) }
        heard({ child_id: ids, happened_at: ...@classroom.midnight(day) }, Sequel[:posed][:parts] => parts)
      end

      # @param ids [Array<Integer>] of problems
      # @return [Array<Heard>] all that was heard on them
      def on_problems(ids) = heard({ child_id: @classroom.children.map(&:id), problem_id: ids })

      # @param operation ["add", "subtract"]
      # @return [Array<Rungs::Progress::Record>] all of one operation
      def records_of(child, operation) = all(child).select { |each| each.operation == operation }.map(&:record)

      # What a page about one child looks at.
      # @param days [Integer]
      # @return [Array<Heard>] all that was heard there, and of the last days everything
      def about(child, operation, scope, days:, on:)
        return all(child) if Scope.family?(scope)

        late = Sequel[:observations][:happened_at] >= @classroom.midnight(on - days)
        heard({ child_id: child.id },
              late | { Sequel[:posed][:operation] => operation, Sequel[:posed][:band] => scope })
      end

      # All that was heard in the weeks before a day, by child.
      def around(day)
        weeks = @classroom.midnight(day - EstimateRows::RULE.secure_days)...@classroom.midnight(day + 1)
        (@around ||= {})[day] ||= heard({ happened_at: weeks }).group_by(&:child_id)
      end

      private

      # @param records [Hash] conditions on the records
      # @param more [Sequel expression, nil] on the records and their problems, called posed
      # @return [Array<Heard>] in the order they happened
      def heard(records, more = nil)
        conditions = records.transform_keys { |key| Sequel[:observations][key] }
        here = @classroom.observations_dataset.standing.in_order.where(conditions).with_posed
        here = here.where(more) if more
        rows = here.columns_of(Heard::COLUMNS, Heard::POSED)
        @ears ||= Ear.tables if rows.any?
        rows.map { |row| Heard.new(row, @classroom.today(row[:happened_at]), @ears) }
      end
    end
  end
end
