# frozen_string_literal: true

# What stands on the board of a lesson, its short code, and how long each problem was looked at.
Sequel.migration do
  up do
    alter_table(:lessons) do
      add_column :code, String, unique: true
      add_column :board, :jsonb, null: false, default: "{}"
      add_column :board_version, Integer, null: false, default: 0
      add_column :ended_at, :timestamptz
    end

    create_table(:showings) do
      primary_key :id, type: :Bignum
      Bignum :classroom_id, null: false
      Bignum :problem_id, null: false
      column :shown_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :covered_at, :timestamptz
      foreign_key %i[classroom_id problem_id], :problems, key: %i[classroom_id id], on_delete: :cascade
      index %i[problem_id shown_at]
    end
  end

  down do
    drop_table(:showings)
    alter_table(:lessons) do
      drop_column :code
      drop_column :board
      drop_column :board_version
      drop_column :ended_at
    end
  end
end
