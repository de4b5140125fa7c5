# frozen_string_literal: true

# Where an account is signed in, so that a session ends where it is ended; and which devices stay signed in.
Sequel.migration do
  change do
    create_table(:account_active_session_keys) do
      foreign_key :account_id, :accounts, type: :Bignum, null: false, on_delete: :cascade
      String :session_id, null: false
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :last_use, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      String :device, null: false, default: ""
      primary_key %i[account_id session_id]
    end

    create_table(:account_remember_keys) do
      foreign_key :id, :accounts, primary_key: true, type: :Bignum, on_delete: :cascade
      String :key, null: false
      column :deadline, :timestamptz, null: false
    end
  end
end
