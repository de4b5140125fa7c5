# frozen_string_literal: true

module Records
  # Carries the estimates of a class on as records come in. A record that is the newest is heard on top of what stands;
  # one that is late, corrected or undone makes that one child's estimates anew. Either way they are what all records
  # together say.
  class Ledger
    include FromRecords

    # What every record does, planned once for each connection: what stands in its scopes, with how its fact stood.
    ASKED = %i[$first $second $classroom_id $child_id $operation $scopes].freeze
    STANDING = DB[<<~SQL, *ASKED].prepare(:select, :standings_of)
      SELECT standings.*, facts.known AS fact FROM standings
      LEFT JOIN facts ON facts.classroom_id = standings.classroom_id AND facts.child_id = standings.child_id
        AND facts.operation = standings.operation AND first = ? AND second = ?
      WHERE standings.classroom_id = ? AND standings.child_id = ? AND standings.operation = ?
        AND standings.scope = ANY(?::text[])
    SQL
    COLUMNS = %i[probabilities shown worked_on heard known pivots fact_on].freeze
    SET = ->(columns) { columns.map { |column| "#{column} = excluded.#{column}" }.join(", ") }
    KEEP = DB[<<~SQL, :$standings, :$facts, :$days].prepare(:update, :keep_standings)
      WITH stood AS (
        INSERT INTO standings SELECT * FROM jsonb_populate_recordset(NULL::standings, ?::jsonb)
        ON CONFLICT (classroom_id, child_id, operation, scope) DO UPDATE SET #{SET[[*COLUMNS, :last_at, :recent]]}
      ), told AS (
        INSERT INTO facts SELECT * FROM jsonb_populate_recordset(NULL::facts, ?::jsonb)
        ON CONFLICT (classroom_id, child_id, operation, first, second) DO UPDATE
        SET #{SET[%i[known rung right last_at]].sub('right = excluded.right', '"right" = excluded."right"')}
      )
      INSERT INTO standing_days SELECT * FROM jsonb_populate_recordset(NULL::standing_days, ?::jsonb)
      ON CONFLICT (classroom_id, child_id, operation, scope, day) DO UPDATE SET #{SET[[*COLUMNS, :rung, :works_out]]}
    SQL
    private_constant :ASKED, :STANDING, :COLUMNS, :SET, :KEEP

    # @param classroom [Classroom]
    def initialize(classroom)
      @classroom = classroom
    end

    # Makes what is missing: of records that nobody carried on, as a server of the version before leaves them.
    # @yield [Integer, Integer] how many classes are done, of how many
    def self.catch_up
      from, upto = DB[:carried_up_to].get(:observation_id), Observation.max(:id)
      return if upto.nil? || upto == from

      missing = Observation.where(carried: false) { id > from }.distinct.select_map(%i[classroom_id child_id])
      by_class = missing.group_by(&:first)
      by_class.each_with_index do |(id, pairs), done|
        Classroom[id]&.then { |room| new(room).rebuild(pairs.map(&:last)) } # unless it went meanwhile
        yield done + 1, by_class.size if block_given?
      end
      DB[:carried_up_to].where { observation_id < upto }.update(observation_id: upto)
    end

    # Everything of every class from all its records.
    # @yield [Integer, Integer] how many classes are done, of how many
    def self.rebuild_all
      rooms = Classroom.order(:id).all
      rooms.each_with_index do |room, done|
        new(room).rebuild
        yield done + 1, rooms.size if block_given?
      end
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
          %i[standings standing_days facts].each { |table| here(table, child_id).delete }
          standing(child_id).group_by { |row| row[:operation] }.each do |operation, rows|
            replace(child_id, operation, rows, rows.flat_map { |row| scopes_of(row) }.uniq)
          end
        end
      end
    end

    private

    def here(table, child_id, **more) = DB[table].where(classroom_id: @classroom.id, child_id: child_id, **more)
    def record(row, ear = ears[row[:account_id]]) = EstimateRows.record(row, @classroom.today(row[:happened_at]), ear)
    def ears = @ears ||= Ear.tables

    # @return [Hash{String => Running}] by scope, what stands now; empty where something later was heard there
    def carry_on(observation, posed, scopes)
      record = carried_record(observation, posed)
      rows = standing_rows(observation.child_id, posed.operation, scopes, record.exact)
      return {} if rows.values.any? { |row| row[:last_at] >= observation.happened_at }

      before = rows.values.first&.fetch(:fact)
      carried = scopes.to_h { |scope| [scope, stood(rows[scope], posed.operation, scope).hear(record, before)] }
      days = carried.transform_values { |running| [EstimateRows.day_row(running, record.day)] }
      facts = record.about_fact? ? [fact_row(record, before, observation.happened_at)] : []
      write(observation.child_id, posed.operation, observation.happened_at, carried: carried, days: days, facts: facts)
      carried
    end

    def carried_record(observation, posed)
      ear = observation.values[:ear]&.then { |counts| Rungs::Clip::Confusions.of(counts) }
      record({ **observation.values, **posed.values.slice(:affords, *EstimateRows::TOLD_BY) }, ear)
    end

    def standing_rows(child_id, operation, scopes, exact)
      first, second = exact || [-1, -1]
      STANDING.call(classroom_id: @classroom.id, child_id: child_id, operation: operation, first: first,
                    second: second, scopes: Sequel.pg_array(scopes, :text)).to_h { |row| [row[:scope], row] }
    end

    def stood(row, operation, scope)
      return EstimateRows.running(row, sealed: true) if row

      Rungs::Progress::Running.start(Rungs::Progress::Scope.of(operation, scope))
    end

    def fact_row(record, before, at)
      { first: record.exact[0], second: record.exact[1], known: Rungs::Progress::Knowing.after(before, record),
        rung: record.rung, right: record.right, last_at: at.getutc.iso8601(6) }
    end

    def rebuild_scopes(child_id, operation, scopes)
      replace(child_id, operation, standing(child_id, operation: operation), scopes)
    end

    def replace(child_id, operation, rows, scopes)
      %i[standings standing_days].each { |table| here(table, child_id, operation: operation, scope: scopes).delete }
      here(:facts, child_id, operation: operation).delete
      kept = rows.map { |row| [row, scopes_of(row), record(row)] }
      facts = facts_of(kept)
      scopes.each do |scope|
        there = kept.select { |_, all, _| all.include?(scope) }
        make_anew(child_id, operation, scope, there, facts.shift(facts.size)) if there.any?
      end
    end

    def make_anew(child_id, operation, scope, kept, facts)
      days = {}
      running = Rungs::Progress::Running.through(kept.map(&:last),
                                                 Rungs::Progress::Scope.of(operation, scope)) do |after, record|
        days[record.day] = after
      end
      rows = days.map { |day, after| EstimateRows.day_row(after, day) }
      write(child_id, operation, kept.last[0][:happened_at], carried: { scope => running }, days: { scope => rows },
                                                             facts: facts)
    end

    # @param carried [Hash{String => Running}] by scope
    # @param days [Hash{String => Array<Hash>}] by scope
    # @param facts [Array<Hash>]
    def write(child_id, operation, last_at, carried:, days:, facts:)
      here = { classroom_id: @classroom.id, child_id: child_id, operation: operation }
      standings = carried.map { |scope, run| { **here, scope: scope, **EstimateRows.standing_row(run, last_at) } }
      days = days.flat_map { |scope, all| all.map { |each| { **here, scope: scope, **each } } }
      KEEP.call(standings: JSON.generate(standings), days: JSON.generate(days),
                facts: JSON.generate(facts.map { |each| { **here, **each } }))
    end
  end
end
