# frozen_string_literal: true

# A classroom with its people, lessons, posed problems and observations. Children and problems are referred to
# together with their classroom, so that a row can never point into another class.
Sequel.migration do
  up do
    create_table(:classrooms) do
      primary_key :id, type: :Bignum
      String :name, null: false
      String :school, null: false, default: ""
      String :time_zone, null: false, default: "Europe/Amsterdam"
      column :settings, :jsonb, null: false, default: "{}"
      TrueClass :demo, null: false, default: false
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
    end

    create_table(:memberships) do
      foreign_key :account_id, :accounts, null: false, type: :Bignum, on_delete: :cascade
      foreign_key :classroom_id, :classrooms, null: false, type: :Bignum, on_delete: :cascade
      String :role, null: false, default: "teacher"
      primary_key %i[account_id classroom_id]
      check(role: %w[teacher coach])
    end

    create_table(:children) do
      primary_key :id, type: :Bignum
      foreign_key :classroom_id, :classrooms, null: false, type: :Bignum, on_delete: :cascade
      String :name, null: false
      Date :left_on
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      unique %i[classroom_id id]
      unique %i[classroom_id name]
    end

    create_table(:lessons) do
      primary_key :id, type: :Bignum
      foreign_key :classroom_id, :classrooms, null: false, type: :Bignum, on_delete: :cascade
      Date :held_on, null: false
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      unique %i[classroom_id id]
      unique %i[classroom_id held_on]
    end

    create_table(:problems) do
      primary_key :id, type: :Bignum
      Bignum :classroom_id, null: false
      Bignum :lesson_id, null: false
      String :situation
      String :equation, null: false
      column :parts, "integer[]", null: false
      String :unknown, null: false
      String :operation, null: false
      String :band, null: false
      column :affords, "integer[]", null: false
      String :story, null: false, default: ""
      String :template
      column :posed_at, :timestamptz, null: false
      unique %i[classroom_id id]
      foreign_key %i[classroom_id lesson_id], :lessons, key: %i[classroom_id id], on_delete: :cascade
      index %i[lesson_id posed_at]
    end

    create_table(:observations) do
      primary_key :id, type: :Bignum
      foreign_key :replaces_id, :observations, type: :Bignum, unique: true, on_delete: :cascade
      Bignum :classroom_id, null: false
      Bignum :child_id, null: false
      Bignum :problem_id, null: false
      foreign_key :account_id, :accounts, type: :Bignum, on_delete: :set_null
      column :first_key, :uuid, null: false
      column :client_key, :uuid, null: false
      column :happened_at, :timestamptz, null: false
      column :recorded_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      String :code, null: false
      Integer :rung
      String :move
      Integer :answer
      TrueClass :right, null: false, default: true
      column :used, "text[]", null: false, default: "{}"
      String :help, null: false, default: "alone"
      TrueClass :undone, null: false, default: false
      unique %i[classroom_id client_key]
      foreign_key %i[classroom_id child_id], :children, key: %i[classroom_id id], on_delete: :cascade
      foreign_key %i[classroom_id problem_id], :problems, key: %i[classroom_id id], on_delete: :cascade
      index %i[classroom_id child_id happened_at]
      index %i[problem_id]
      index %i[classroom_id first_key]
      check(help: %w[alone prompted shown])
    end

    # Observations are only ever added; only the account that made one may be forgotten when it is closed.
    run <<~SQL
      CREATE FUNCTION observations_are_only_added() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        IF NEW.account_id IS NULL AND to_jsonb(NEW) - 'account_id' = to_jsonb(OLD) - 'account_id' THEN RETURN NEW; END IF;
        RAISE EXCEPTION 'an observation is never changed; add one that replaces it';
      END $$;
      CREATE TRIGGER observations_are_only_added BEFORE UPDATE ON observations
        FOR EACH ROW EXECUTE FUNCTION observations_are_only_added();
    SQL
  end

  down do
    drop_table(:observations, :problems, :lessons, :children, :memberships, :classrooms)
    run "DROP FUNCTION observations_are_only_added()"
  end
end
