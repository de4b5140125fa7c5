# frozen_string_literal: true

module Records
  # What the records of a class say: estimates as the ledger keeps them, movement between two days, and the records
  # behind each, read only where a page shows them.
  class Evidence
    RULE = EstimateRows::RULE
    # Days for which a slip is of late.
    SLIP_DAYS = 56

    # What nearly every page asks, planned once for each connection. SCOPED: the rows of estimates in some scopes.
    SCOPED = { classroom_id: :$classroom_id, operation: :$operation,
               scope: Sequel.function(:any, Sequel.cast(:$scopes, "text[]")) }.freeze
    NOW = DB[:estimates].where(SCOPED).prepare(:select, :estimates_now)
    OF_CHILD = DB[:estimates].where(classroom_id: :$classroom_id, child_id: :$child_id)
                             .exclude(Sequel.like(:scope, "#{Scope::FAMILY}%")).prepare(:select, :estimates_of)
    STEPS = DB[:estimate_steps].where(classroom_id: :$classroom_id, child_id: :$child_id, operation: :$operation,
                                      scope: :$scope)
                               .order(:day).prepare(:select, :steps_of)
    TALLIES = DB[:tallies].where(classroom_id: :$classroom_id).prepare(:select, :tallies_of)
    # For each child and scope the last step by a day: as many index look-ups.
    LAST_STEPS = DB[<<~SQL, :$scopes, :$classroom_id, :$operation, :$day, :$classroom_id].prepare(:select, :last_steps)
      SELECT last.* FROM children CROSS JOIN unnest(?::text[]) AS wanted(scope) CROSS JOIN LATERAL (
        SELECT child_id, scope, day, rung, confidence, heard FROM estimate_steps AS steps
        WHERE steps.classroom_id = ? AND steps.child_id = children.id AND operation = ?
          AND steps.scope = wanted.scope AND day <= ? ORDER BY day DESC LIMIT 1
      ) AS last WHERE children.classroom_id = ?
    SQL
    private_constant :NOW, :OF_CHILD, :STEPS, :TALLIES, :LAST_STEPS

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

    # @param scope [String] as Scope names it
    # @param on [Date] today, or a day before
    # @return [Rungs::Progress::Estimate]
    def estimate(child, operation, scope, on:)
      now(child, operation, scope,
          on) || Rungs::Progress::Estimate.of(heard_of(child, operation, scope).map(&:record), on: on)
    end

    # The same for every child of a class: of a day gone by, without the sentence of its reasons, whose records go
    # further back.
    # @return [Rungs::Progress::Estimate]
    def glance(child, operation, scope, on:)
      (@glances ||= {})[[child.id, operation, scope, on]] ||=
        now(child, operation, scope, on) || back_then(child, operation, scope, on)
    end

    # One child's, where no other's is wanted: one row is read.
    def estimate_of(child, operation, scope, on:)
      (@current ||= {})[[operation, scope]] ||=
        DB[:estimates].where(classroom_id: @classroom.id, child_id: child.id, operation: operation,
                             scope: scope).as_hash(:child_id)
      estimate(child, operation, scope, on: on)
    end

    # Reads at once what a page of many scopes needs.
    # @param day [Date] the first of those that movement is asked between
    def read(operation, scopes, day:)
      rows = rows_now(operation, scopes)
      scopes.each { |scope| (@current ||= {})[[operation, scope]] = rows.fetch(scope, {}) }
      read_steps(operation, scopes, day)
    end

    # @return [Boolean] whether anything was heard there, of what was read
    def heard?(operation, scope) = current(operation, scope).any?

    # @return [Integer, nil] the working rung at the end of a day
    def working_on(child, operation, scope, day)
      step = step_on(child, operation, scope, day) and Rungs::Progress::Estimate.new([], on: day, filter: step).working
    end

    # @return [Integer] −1 moved down, 0 stayed or not known (where it is not clear yet where to), 1 moved up
    def movement(child, operation, scope, from:, to:)
      before, after = working_on(child, operation, scope, from), glance(child, operation, scope, on: to)
      before && after.mostly? ? after.working <=> before : 0
    end

    # @return [Array<EstimateRows::Step>] all days something was heard of that child there
    def steps(child, operation, scope)
      (@steps ||= {})[[child.id, operation, scope]] ||=
        STEPS.call(classroom_id: @classroom.id, child_id: child.id, operation: operation, scope: scope)
             .map { |row| EstimateRows.step(row) }
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

    # @param band [String]
    # @return [Hash{Integer => Array<Rungs::Progress::Record>}] by child, all that was heard in a range
    def in_range(band)
      there = heard({ child_id: @classroom.children.map(&:id) }, Sequel[:posed][:band] => band)
      there.group_by(&:child_id).transform_values { |all| all.map(&:record) }
    end

    # @param operation ["add", "subtract"]
    # @return [Array<Rungs::Progress::Record>] all of one operation
    def records_of(child, operation) = all(child).select { |each| each.operation == operation }.map(&:record)

    # What a page about one child looks at.
    # @param days [Integer]
    # @return [Array<Heard>] all that was heard there, and of the last days everything
    def about(child, operation, scope, days:, on:)
      return all(child) if Scope.family?(scope)

      late = Sequel[:observations][:happened_at] >= @classroom.midnight(on - days)
      heard({ child_id: child.id }, late | { Sequel[:posed][:operation] => operation, Sequel[:posed][:band] => scope })
    end

    # @param days [Integer] at most as many as an estimate keeps its records
    # @return [Array(String, String), nil] the operation and band a child was heard in most of late, else last
    def busiest(child, days:, on:)
      rows = OF_CHILD.call(classroom_id: @classroom.id, child_id: child.id)
      busiest = rows.max_by do |row|
        [row[:recent].to_a.count do |packed|
          Packed.day(packed) > on - days
        end, row[:last_at]]
      end
      busiest&.values_at(:operation, :scope)
    end

    # @return [Hash{Integer => Date}] the day each child was last heard, off the ladder too
    def last_heard
      @last_heard ||= tallies.transform_values { |tally| tally[:last_at] && @classroom.today(tally[:last_at]) }
    end

    # @return [Hash{Integer => Integer}] how many records each child has
    def counts = Hash.new(0).merge(tallies.transform_values { |tally| tally[:records] })

    private

    # What stands now, where nothing was heard after the day.
    def now(child, operation, scope, on)
      row = current(operation, scope)[child.id] or return Rungs::Progress::Estimate.of([], on: on)
      running = EstimateRows.running(row)
      running.estimate(on: on) if running.filter.day <= on
    end

    def back_then(child, operation, scope, on)
      step = step_on(child, operation, scope, on) or return Rungs::Progress::Estimate.of([], on: on)
      records = around(on).fetch(child.id, []).select { |each| each.of?(operation, scope) }.map(&:record)
      Rungs::Progress::Estimate.new(records, on: on, filter: step)
    end

    # All that was heard in the weeks before a day, by child.
    def around(day)
      weeks = @classroom.midnight(day - RULE.secure_days)...@classroom.midnight(day + 1)
      (@around ||= {})[day] ||= heard({ happened_at: weeks }).group_by(&:child_id)
    end

    # The last step by that day.
    def step_on(child, operation, scope, day)
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

    # The current rows of one operation and scope, by child.
    def current(operation, scope)
      (@current ||= {})[[operation, scope]] ||= rows_now(operation, [scope]).fetch(scope, {})
    end

    def rows_now(operation, scopes)
      rows = NOW.call(classroom_id: @classroom.id, operation: operation, scopes: Sequel.pg_array(scopes, :text))
      rows.group_by { |row| row[:scope] }.transform_values { |there| there.to_h { |row| [row[:child_id], row] } }
    end

    def last_steps(operation, scopes, day)
      LAST_STEPS.call(scopes: Sequel.pg_array(scopes, :text), classroom_id: @classroom.id, operation: operation,
                      day: day)
    end

    def tallies = @tallies ||= TALLIES.call(classroom_id: @classroom.id).to_h { |row| [row[:child_id], row] }

    # @param records [Hash] conditions on the records
    # @param more [Sequel expression, nil] on the records and their problems, called posed
    # @return [Array<Heard>] in the order they happened
    def heard(records, more = nil)
      here = @classroom.observations_dataset.standing.in_order.where(records.transform_keys do |key|
        Sequel[:observations][key]
      end).with_posed
      here = here.where(more) if more
      here.columns_of(Heard::COLUMNS, Heard::POSED).map { |row| Heard.new(row, @classroom.today(row[:happened_at])) }
    end
  end
end
