# frozen_string_literal: true

# A check-in with one child: its problems are posed to that child alone.
Sequel.migration do
  change do
    create_table(:check_ins) do
      primary_key :id, type: :Bignum
      Bignum :classroom_id, null: false
      Bignum :child_id, null: false
      String :operation, null: false
      String :band
      column :started_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :ended_at, :timestamptz
      foreign_key %i[classroom_id child_id], :children, key: %i[classroom_id id], on_delete: :cascade
      index %i[child_id started_at]
    end

    alter_table(:problems) do
      add_foreign_key :check_in_id, :check_ins, type: :Bignum, on_delete: :cascade, index: true
    end
  end
end
