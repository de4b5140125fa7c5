# frozen_string_literal: true

# Which children gave a way.
Sequel.migration do
  change do
    create_table(:way_givers) do
      foreign_key :way_id, :ways, type: :Bignum, null: false, on_delete: :cascade
      foreign_key :child_id, :children, type: :Bignum, null: false, on_delete: :cascade, index: true
      column :given_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[way_id child_id]
    end
  end
end
