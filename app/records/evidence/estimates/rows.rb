# frozen_string_literal: true

module Records
  class Evidence
    class Estimates
      # The rows that it reads: now, and the last of each day up to one.
      module Rows
        # What nearly every page asks, planned once for each connection: the standings of a class in some scopes.
        NOW = DB[:standings].where(classroom_id: :$classroom_id, operation: :$operation,
                                   scope: Sequel.function(:any, Sequel.cast(:$scopes, "text[]")))
                            .prepare(:select, :standings_now)

        # For each child and scope the last day up to one: as many index look-ups.
        LAST = DB[<<~SQL, :$scopes, :$classroom_id, :$operation, :$day, :$classroom_id].prepare(:select, :last_days)
          SELECT last.* FROM children CROSS JOIN unnest(?::text[]) AS wanted(scope) CROSS JOIN LATERAL (
            SELECT * FROM standing_days AS days
            WHERE days.classroom_id = ? AND days.child_id = children.id AND operation = ?
              AND days.scope = wanted.scope AND day <= ? ORDER BY day DESC LIMIT 1
          ) AS last WHERE children.classroom_id = ?
        SQL

        private

        # Since when nothing is told any more, for who listens blind to another in a visit.
        # @return [Time, nil]
        def blind = (@classroom.blind_since if @classroom.is_a?(BlindInVisit))

        def nothing(operation, scope, day)
          Rungs::Progress::Estimate.of([], on: day, scope: Rungs::Progress::Scope.of(operation, scope))
        end

        # What stands now, where nothing was heard after the day.
        def now(child, operation, scope, on)
          row = current(operation, scope)[child.id] or return nothing(operation, scope, on)
          running = EstimateRows.running(row)
          running.estimate(on: on) if running.recent.last.day <= on
        end

        def back_then(child, operation, scope, on)
          step = step_on(child, operation, scope, on) or return nothing(operation, scope, on)
          records = @answers.around(on).fetch(child.id, []).select { |each| each.of?(operation, scope) }.map(&:record)
          Rungs::Progress::Estimate.new(records, on: on, filter: step.running.filter, knowing: step.running.knowing)
        end

        # The last step by that day.
        def step_on(child, operation, scope, day)
          day = [day, @classroom.today(blind) - 1].min if blind
          steps = @steps && @steps[[child.id, operation, scope]]
          return steps.reverse_each.find { |step| step.day <= day } if steps

          read_steps(operation, [scope], day) unless @steps_on&.key?([operation, scope, day])
          @steps_on.fetch([operation, scope, day])[child.id]
        end

        def read_steps(operation, scopes, day)
          by_scope = last_steps(operation, scopes, day).group_by { |row| row[:scope] }
          @steps_on ||= {}
          scopes.each do |scope|
            @steps_on[[operation, scope, day]] = (by_scope[scope] || []).to_h do |row|
              [row[:child_id], EstimateRows.step(row)]
            end
          end
        end

        # By child, how it worked things out first after a day.
        def first_after(operation, scope, day)
          (@first_after ||= {})[[operation, scope, day]] ||=
            DB[:standing_days].where(classroom_id: @classroom.id, operation: operation, scope: scope)
                              .where { Sequel[:day] > day }.exclude(works_out: nil).order(:child_id, :day)
                              .distinct(:child_id).select_hash(:child_id, :works_out)
        end

        # The current rows of one operation and scope, by child.
        def current(operation, scope)
          (@current ||= {})[[operation, scope]] ||= rows_now(operation, [scope]).fetch(scope, {})
        end

        def rows_now(operation, scopes)
          rows = NOW.call(classroom_id: @classroom.id, operation: operation, scopes: Sequel.pg_array(scopes, :text))
          rows.group_by { |row| row[:scope] }.transform_values { |there| there.to_h { |row| [row[:child_id], row] } }
        end

        def last_steps(operation, scopes, day)
          LAST.call(scopes: Sequel.pg_array(scopes, :text), classroom_id: @classroom.id, operation: operation,
                    day: day)
        end
      end
    end
  end
end
