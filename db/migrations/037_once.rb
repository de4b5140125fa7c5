# frozen_string_literal: true

# What a form was answered, by its key, for a day: pressed twice, it is done once. A session that ends is told to the
# windows that are open by it. And the database may be told to look anew at how much there is, after a large import.
Sequel.migration do
  up do
    create_table(:answered_forms) do
      String :whose, null: false
      String :key, null: false
      String :sent, null: false
      Integer :status
      String :location
      column :answered_at, :timestamptz, null: false
      primary_key %i[whose key sent]
      index :answered_at
    end

    run <<~SQL
      CREATE FUNCTION session_ended() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        PERFORM pg_notify('rungs_ended', OLD.account_id::text);
        RETURN NULL;
      END $$
    SQL
    run <<~SQL
      CREATE TRIGGER session_ended AFTER DELETE ON account_active_session_keys
      FOR EACH ROW EXECUTE FUNCTION session_ended()
    SQL
    # As the owner of the tables, which alone may.
    run <<~SQL
      CREATE FUNCTION look_at_how_much() RETURNS void LANGUAGE plpgsql SECURITY DEFINER SET search_path FROM CURRENT AS $$
      BEGIN
        ANALYZE observations, problems, lessons, lesson_parts, standings, standing_days, facts;
      END $$
    SQL
  end

  down do
    run "DROP FUNCTION look_at_how_much()"
    run "DROP FUNCTION session_ended() CASCADE"
    drop_table(:answered_forms)
  end
end
