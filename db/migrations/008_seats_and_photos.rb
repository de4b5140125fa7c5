# frozen_string_literal: true

# Where each child sits, days a child was away, and photos of drawings, which belong to a record whichever version
# stands.
Sequel.migration do
  change do
    alter_table(:children) { add_column :seat, Integer }

    create_table(:absences) do
      Bignum :classroom_id, null: false
      Bignum :child_id, null: false
      Date :day, null: false
      primary_key %i[classroom_id child_id day]
      foreign_key %i[classroom_id child_id], :children, key: %i[classroom_id id], on_delete: :cascade
    end

    create_table(:photos) do
      primary_key :id, type: :Bignum
      Bignum :classroom_id, null: false
      Bignum :child_id, null: false
      column :first_key, :uuid, null: false
      column :client_key, :uuid, null: false
      column :taken_at, :timestamptz, null: false
      File :content, null: false
      foreign_key %i[classroom_id child_id], :children, key: %i[classroom_id id], on_delete: :cascade
      unique %i[classroom_id client_key]
      index %i[classroom_id first_key]
      index %i[classroom_id child_id]
    end
  end
end
