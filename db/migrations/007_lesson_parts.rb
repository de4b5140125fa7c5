# frozen_string_literal: true

# The parts of a lesson in order, when each ran, what was posed in it, and the ways kept of a string's problems.
Sequel.migration do
  change do
    create_table(:lesson_parts) do
      primary_key :id, type: :Bignum
      Bignum :classroom_id, null: false
      Bignum :lesson_id, null: false
      Integer :place, null: false
      String :kind, null: false
      Integer :minutes, null: false
      column :details, :jsonb, null: false, default: "{}"
      TrueClass :skipped, null: false, default: false
      unique %i[classroom_id id]
      foreign_key %i[classroom_id lesson_id], :lessons, key: %i[classroom_id id], on_delete: :cascade
      index %i[lesson_id place]
    end

    create_table(:part_runs) do
      primary_key :id, type: :Bignum
      foreign_key :part_id, :lesson_parts, type: :Bignum, null: false, on_delete: :cascade, index: true
      column :started_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :ended_at, :timestamptz
      TrueClass :stopped, null: false, default: false
    end

    alter_table(:problems) do
      add_foreign_key :part_id, :lesson_parts, type: :Bignum, on_delete: :set_null, index: true
      add_column :number_set, String
    end
    alter_table(:looks) { add_foreign_key :part_id, :lesson_parts, type: :Bignum, on_delete: :set_null, index: true }

    alter_table(:showings) do
      set_column_allow_null :problem_id
      add_foreign_key :look_id, :looks, type: :Bignum, on_delete: :cascade, index: true
    end

    create_table(:problem_ways) do
      primary_key :id, type: :Bignum
      Bignum :classroom_id, null: false
      Bignum :problem_id, null: false
      String :text, null: false
      String :move
      Integer :tally, null: false, default: 1
      String :initials, null: false, default: ""
      foreign_key %i[classroom_id problem_id], :problems, key: %i[classroom_id id], on_delete: :cascade
      unique %i[problem_id text]
    end
  end
end
