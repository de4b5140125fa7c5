# frozen_string_literal: true

# What was done to a class and with an account, for its teachers to read; no child is named.
Sequel.migration do
  change do
    create_table(:audit_events) do
      primary_key :id, type: :Bignum
      foreign_key :account_id, :accounts, type: :Bignum, on_delete: :set_null, index: true
      foreign_key :classroom_id, :classrooms, type: :Bignum, on_delete: :cascade, index: true
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      String :what, null: false
      String :address, null: false, default: ""
    end
  end
end
