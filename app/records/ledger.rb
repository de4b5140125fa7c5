# frozen_string_literal: true

module Records
  # Carries the estimates of a class on as records come in. A record that is the newest is heard on top of what stands;
  # one that is late, corrected or undone makes that one child's estimates anew. Either way they are what all records
  # together say.
  class Ledger
    # What every record does, planned once for each connection.
    STANDING = DB[:estimates].where(Evidence::Estimates::SCOPED).where(child_id: :$child_id)
                             .prepare(:select, :standing_estimates)
    KEEP = DB[<<~SQL, :$estimates, :$steps].prepare(:update, :keep_estimates)
      WITH kept AS (
        INSERT INTO estimates SELECT * FROM jsonb_populate_recordset(NULL::estimates, ?::jsonb)
        ON CONFLICT (classroom_id, child_id, operation, scope) DO UPDATE
        SET probabilities = excluded.probabilities, heard = excluded.heard, last_at = excluded
          .last_at, recent = excluded.recent
      )
      INSERT INTO estimate_steps SELECT * FROM jsonb_populate_recordset(NULL::estimate_steps, ?::jsonb)
      ON CONFLICT (classroom_id, child_id, operation, scope, day) DO UPDATE
      SET rung = excluded.rung, confidence = excluded.confidence, heard = excluded.heard
    SQL
    private_constant :STANDING, :KEEP

    # @param classroom [Classroom]
    def initialize(classroom)
      @classroom = classroom
    end

    # Makes what is missing: for classes recorded before estimates were kept.
    def self.catch_up
      missing = Classroom.where(id: Observation.select(:classroom_id)).exclude(id: DB[:tallies].select(:classroom_id))
      missing.each { |classroom| new(classroom).rebuild }
    end

    # In the transaction that added it, which holds the child's tally and so locks out another record of that child.
    # @param observation [Observation] the version that stands now, or is undone
    # @param replaced [Observation, nil] the version it replaces
    # @return [Hash, nil] what was carried on, by child, operation and scope
    def note(observation, replaced: nil)
      posed = observation.posed_problem
      count_again(observation.child_id) if replaced
      return if replaced.nil? && observation.rung.nil?
      return if replaced && SAME.all? { |column| replaced[column] == observation[column] }

      scopes = Scope.of(posed.band, posed.parts.to_a)
      carried = replaced ? {} : carry_on(observation, posed, scopes)
      rebuild_scopes(observation.child_id, posed.operation, scopes - carried.keys) if carried.size < scopes.size
      carried.transform_keys { |scope| [observation.child_id, posed.operation, scope] }
    end

    # What an estimate depends on; a note of what was used changes nothing.
    SAME = %i[rung right help undone beside].freeze

    # Everything of some children from all their records; of all where none are named.
    # @param child_ids [Array<Integer>]
    def rebuild(child_ids = DB[:children].where(classroom_id: @classroom.id).select_map(:id))
      DB.transaction do
        child_ids.each do |child_id|
          count_again(child_id)
          standing(child_id).group_by { |row| row[:operation] }.each do |operation, rows|
            replace(child_id, operation, rows, rows.flat_map { |row| scopes_of(row) }.uniq)
          end
        end
      end
    end

    private

    def scopes_of(row) = Scope.of(row[:band], row[:parts].to_a)
    def here(table, child_id, **more) = DB[table].where(classroom_id: @classroom.id, child_id: child_id, **more)
    def record(row, ear = ears[row[:account_id]]) = EstimateRows.record(row, @classroom.today(row[:happened_at]), ear)
    def ears = @ears ||= Ear.tables

    # @return [Hash{String => Running}] the scopes in which nothing later was heard, now carried on
    def carry_on(observation, posed, scopes)
      rows = standing_rows(observation.child_id, posed.operation, scopes)
      ear = observation.values[:ear]&.then { |counts| Rungs::Clip::Confusions.of(counts) }
      record = record(observation.values.merge(affords: posed.affords, parts: posed.parts), ear)
      newest = scopes.reject { |scope| rows[scope] && rows[scope][:last_at] >= observation.happened_at }
      carried = newest.to_h { |scope| [scope, before(rows[scope]).hear(record)] }
      steps = carried.transform_values { |running| [EstimateRows.step_row(running.filter)] }
      keep(observation.child_id, posed.operation, observation.happened_at, carried, steps)
      carried
    end

    def standing_rows(child_id, operation, scopes)
      wanted = Sequel.pg_array(scopes, :text)
      STANDING.call(classroom_id: @classroom.id, child_id: child_id, operation: operation, scopes: wanted).to_h do |row|
        [row[:scope], row]
      end
    end

    def before(row) = row ? EstimateRows.running(row, sealed: true) : Rungs::Progress::Running.start

    # What stands of a child, in order. Rows are put together here: of many that have just come in, the database knows
    # too little to do it quickly.
    def standing(child_id, operation: nil)
      stand = stand(child_id).reject { |row| row[:rung].nil? }
      operation ? stand.select { |row| row[:operation] == operation } : stand
    end

    OWN, POSED = %i[id replaces_id undone beside happened_at problem_id account_id rung right help].freeze,
                 %i[id operation band affords parts].freeze
    private_constant :OWN, :POSED

    def stand(child_id)
      versions = @classroom.observations_dataset.where(child_id: child_id).in_order.select(*OWN).naked.all
      replaced = versions.filter_map { |row| row[:replaces_id] }.to_set
      kept = versions.reject { |row| row[:undone] || row[:beside] || replaced.include?(row[:id]) }
      asked = DB[:problems].where(classroom_id: @classroom.id, id: kept.map { |row| row[:problem_id] }.uniq)
      posed = asked.select(*POSED).as_hash(:id)
      kept.map { |row| posed.fetch(row[:problem_id]).merge(row) }
    end

    def rebuild_scopes(child_id, operation, scopes)
      replace(child_id, operation, standing(child_id, operation: operation), scopes)
    end

    def replace(child_id, operation, rows, scopes)
      %i[estimates estimate_steps].each { |table| here(table, child_id, operation: operation, scope: scopes).delete }
      kept = rows.map { |row| [row, scopes_of(row), record(row)] }
      scopes.each { |scope| make_anew(child_id, operation, scope, kept.select { |_, there, _| there.include?(scope) }) }
    end

    def make_anew(child_id, operation, scope, kept)
      return if kept.empty?

      steps = {}
      running = Rungs::Progress::Running.through(kept.map(&:last)) do |filter|
        steps[filter.day] = EstimateRows.step_row(filter)
      end
      keep(child_id, operation, kept.last[0][:happened_at], { scope => running }, { scope => steps.values })
    end

    # @param carried [Hash{String => Running}] by scope
    # @param steps [Hash{String => Array<Hash>}] by scope
    def keep(child_id, operation, last_at, carried, steps)
      here = { classroom_id: @classroom.id, child_id: child_id, operation: operation }
      estimates = carried.map do |scope, running|
        { **here, scope: scope, **EstimateRows.estimate_row(running, last_at) }
      end
      steps = steps.flat_map { |scope, all| all.map { |each| { **here, scope: scope, **each } } }
      KEEP.call(estimates: JSON.generate(estimates), steps: JSON.generate(steps))
    end

    def count_again(child_id)
      here(:tallies, child_id).for_update.first
      times = stand(child_id).map { |row| row[:happened_at] }
      records, last_at = times.size, times.max
      return here(:tallies, child_id).delete if records.zero?

      DB[:tallies].insert_conflict(target: %i[classroom_id child_id], update: { records: records, last_at: last_at })
                  .insert(classroom_id: @classroom.id, child_id: child_id, records: records, last_at: last_at)
    end
  end
end
