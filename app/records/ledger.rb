# frozen_string_literal: true

module Records
  # Carries the estimates of a class on as records come in. A record that is the newest is heard on top of what stands; one
  # that is late, corrected or undone makes that one child's estimates anew. Either way they are what all records together say.
  class Ledger
    # What every record does, planned once for each connection.
    STANDING = DB[:estimates].where(Evidence::SCOPED).where(child_id: :$child_id).prepare(:select, :standing_estimates)
    KEEP = DB[<<~SQL, :$estimates, :$steps].prepare(:update, :keep_estimates)
      WITH kept AS (
        INSERT INTO estimates SELECT * FROM jsonb_populate_recordset(NULL::estimates, ?::jsonb)
        ON CONFLICT (classroom_id, child_id, operation, scope) DO UPDATE
        SET probabilities = excluded.probabilities, heard = excluded.heard, last_at = excluded.last_at, recent = excluded.recent
      )
      INSERT INTO estimate_steps SELECT * FROM jsonb_populate_recordset(NULL::estimate_steps, ?::jsonb)
      ON CONFLICT (classroom_id, child_id, operation, scope, day) DO UPDATE SET rung = excluded.rung, confidence = excluded.confidence, heard = excluded.heard
    SQL
    COUNT = DB[<<~SQL, :$classroom_id, :$child_id, :$happened_at].prepare(:update, :count_record)
      INSERT INTO tallies (classroom_id, child_id, records, last_at) VALUES (?, ?, 1, ?)
      ON CONFLICT (classroom_id, child_id) DO UPDATE SET records = tallies.records + 1, last_at = greatest(tallies.last_at, excluded.last_at)
    SQL
    private_constant :STANDING, :KEEP, :COUNT

    # @param classroom [Classroom]
    def initialize(classroom)
      @classroom = classroom
    end

    # Makes what is missing: for classes recorded before estimates were kept.
    def self.catch_up
      Classroom.where(id: Observation.select(:classroom_id)).exclude(id: DB[:tallies].select(:classroom_id)).each { |classroom| new(classroom).rebuild }
    end

    # In the transaction that added it. The child's tally is written first and so locks out another record of that child.
    # @param observation [Observation] the version that stands now, or is undone
    # @param replaced [Observation, nil] the version it replaces
    # @return [Hash, nil] what was carried on, by child, operation and scope
    def note(observation, replaced: nil)
      posed = observation.posed_problem
      replaced ? count_again(observation.child_id) : count(observation)
      return if replaced.nil? && observation.rung.nil?
      return if replaced && SAME.all? { |column| replaced[column] == observation[column] }

      scopes = scopes_of(posed.band, posed.parts.to_a)
      carried = replaced ? {} : carry_on(observation, posed, scopes)
      rebuild_scopes(observation.child_id, posed.operation, scopes - carried.keys) if carried.size < scopes.size
      carried.transform_keys { |scope| [observation.child_id, posed.operation, scope] }
    end

    # What an estimate depends on; a note of what was used changes nothing.
    SAME = %i[rung right help undone].freeze

    # All of the class from all its records.
    def rebuild
      DB.transaction do
        @classroom.children_dataset.unordered.unfiltered.where(classroom_id: @classroom.id).select_map(:id).each do |child_id|
          count_again(child_id)
          standing(child_id).group_by { |row| row[:operation] }.each do |operation, rows|
            replace(child_id, operation, rows, rows.flat_map { |row| scopes_of(row[:band], row[:parts].to_a) }.uniq)
          end
        end
      end
    end

    private

    def scopes_of(band, parts) = Evidence.scopes(band, parts)
    def here(table, child_id, **more) = DB[table].where(classroom_id: @classroom.id, child_id: child_id, **more)

    # @return [Hash{String => Running}] the scopes in which nothing later was heard, now carried on
    def carry_on(observation, posed, scopes)
      rows = STANDING.call(classroom_id: @classroom.id, child_id: observation.child_id, operation: posed.operation, scopes: Sequel.pg_array(scopes, :text)).to_h { |row| [row[:scope], row] }
      record = record(observation.values.merge(affords: posed.affords, parts: posed.parts))
      newest = scopes.reject { |scope| rows[scope] && rows[scope][:last_at] >= observation.happened_at }
      carried = newest.to_h { |scope| [scope, (rows[scope] ? Evidence.running(rows[scope], sealed: true) : Rungs::Progress::Running.start).hear(record)] }
      keep(observation.child_id, posed.operation, observation.happened_at, carried, carried.transform_values { |running| [step(running)] })
      carried
    end

    def record(row)
      Rungs::Progress::Record.new(day: @classroom.today(row[:happened_at]), rung: row[:rung], affords: row[:affords].to_a, fact: row[:parts].to_a.sort, right: row[:right], help: row[:help])
    end

    def standing(child_id, **more)
      Observation.standing.where(Sequel[:observations][:classroom_id] => @classroom.id, child_id: child_id).exclude(rung: nil).in_order
                 .join(:problems, { classroom_id: :classroom_id, id: :problem_id }, table_alias: :posed).where(more.transform_keys { |key| Sequel[:posed][key] })
                 .select(*%i[happened_at rung right help].map { |column| Sequel[:observations][column] }, *%i[operation band affords parts].map { |column| Sequel[:posed][column] }).naked.all
    end

    def rebuild_scopes(child_id, operation, scopes) = replace(child_id, operation, standing(child_id, operation: operation), scopes)

    def replace(child_id, operation, rows, scopes)
      %i[estimates estimate_steps].each { |table| here(table, child_id, operation: operation, scope: scopes).delete }
      kept = rows.map { |row| [row, scopes_of(row[:band], row[:parts].to_a), record(row)] }
      scopes.each { |scope| make_anew(child_id, operation, scope, kept.select { |_, there, _| there.include?(scope) }) }
    end

    def make_anew(child_id, operation, scope, kept)
      return if kept.empty?

      running, steps = Rungs::Progress::Running.start, {}
      kept.each do |_, _, record|
        running = running.hear(record)
        steps[record.day] = step(running)
      end
      keep(child_id, operation, kept.last[0][:happened_at], { scope => running }, { scope => steps.values })
    end

    # @param carried [Hash{String => Running}] by scope
    # @param steps [Hash{String => Array<Hash>}] by scope
    def keep(child_id, operation, last_at, carried, steps)
      here = { classroom_id: @classroom.id, child_id: child_id, operation: operation }
      estimates = carried.map do |scope, running|
        { **here, scope: scope, heard: running.filter.heard, last_at: last_at.getutc.iso8601(6), probabilities: running.filter.probabilities,
                  recent: running.recent.map { |each| Packed.pack(each) } }
      end
      steps = steps.flat_map { |scope, all| all.map { |each| { **here, scope: scope, **each } } }
      KEEP.call(estimates: JSON.generate(estimates), steps: JSON.generate(steps))
    end

    def step(running) = { day: running.filter.day, rung: running.filter.likeliest, confidence: running.filter.probabilities.max, heard: running.filter.heard }

    def count(observation) = COUNT.call(**observation.values.slice(:classroom_id, :child_id, :happened_at))

    def count_again(child_id)
      here(:tallies, child_id).for_update.first
      times = @classroom.observations_dataset.standing.where(child_id: child_id).select_map(:happened_at)
      records, last_at = times.size, times.max
      return here(:tallies, child_id).delete if records.zero?

      DB[:tallies].insert_conflict(target: %i[classroom_id child_id], update: { records: records, last_at: last_at })
                  .insert(classroom_id: @classroom.id, child_id: child_id, records: records, last_at: last_at)
    end
  end
end
