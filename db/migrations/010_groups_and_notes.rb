# frozen_string_literal: true

# Groups saved for a lesson, and notes for families as the teacher left them.
Sequel.migration do
  change do
    alter_table(:lessons) { add_column :groups, :jsonb }

    create_table(:notes) do
      primary_key :id, type: :Bignum
      Bignum :classroom_id, null: false
      Bignum :child_id, null: false
      column :parts, :jsonb, null: false
      column :changed_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      foreign_key %i[classroom_id child_id], :children, key: %i[classroom_id id], on_delete: :cascade
      unique %i[classroom_id child_id]
    end
  end
end
