# frozen_string_literal: true

# How often something of a class was written, a row each, with it in one transaction: whether a copy of the database
# has what was written last is told by its own sum. Rows are added and put together, never changed: nobody waits for
# another.
Sequel.migration do
  # Not what is noted of who looks, what waits to be drawn or brought in, and what is typed but not posed.
  elsewhere = %i[audit_events jobs uploads drafts class_writes]
  events = { "INSERT" => "NEW", "UPDATE" => "NEW", "DELETE" => "OLD" }
  # Whose class it is of, by what says that, and of which tables beside those that say it themselves.
  functions = { of_class_written: "SELECT classroom_id FROM changed", class_written: "SELECT id FROM changed",
                part_run_written: "SELECT classroom_id FROM lesson_parts JOIN changed ON part_id = lesson_parts.id",
                way_giver_written: "SELECT classroom_id FROM ways JOIN changed ON way_id = ways.id" }
  besides = { classrooms: :class_written, part_runs: :part_run_written, way_givers: :way_giver_written }

  up do
    create_table(:class_writes) do
      foreign_key :classroom_id, :classrooms, type: :Bignum, null: false, on_delete: :cascade, index: true
      Bignum :number, null: false, default: 1
    end

    functions.each do |name, classes|
      run <<~SQL
        CREATE FUNCTION #{name}() RETURNS trigger LANGUAGE plpgsql AS $$
        BEGIN
          INSERT INTO class_writes (classroom_id) SELECT id FROM classrooms WHERE id IN (#{classes});
          RETURN NULL;
        END $$
      SQL
    end

    said = { column_name: "classroom_id", table_schema: Sequel.function(:current_schema) }
    own = from(Sequel[:information_schema][:columns]).where(said).select_map(:table_name).map(&:to_sym) - elsewhere
    own.to_h { |table| [table, :of_class_written] }.merge(besides).each do |table, function|
      events.each do |event, which|
        run <<~SQL
          CREATE TRIGGER #{table}_#{event.downcase} AFTER #{event} ON #{table}
          REFERENCING #{which} TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION #{function}()
        SQL
      end
    end
  end

  down do
    run "DROP FUNCTION #{functions.keys.join(', ')} CASCADE"
    drop_table(:class_writes)
  end
end
