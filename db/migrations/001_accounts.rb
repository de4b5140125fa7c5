# frozen_string_literal: true

# What Rodauth keeps: accounts, password hashes, lockout, the audit log.
Sequel.migration do
  up do
    run "CREATE EXTENSION IF NOT EXISTS citext"

    create_table(:account_statuses) do
      Integer :id, primary_key: true
      String :name, null: false, unique: true
    end
    from(:account_statuses).import(%i[id name], [[1, "Unverified"], [2, "Verified"], [3, "Closed"]])

    create_table(:accounts) do
      primary_key :id, type: :Bignum
      foreign_key :status_id, :account_statuses, null: false, default: 2
      column :email, :citext, null: false
      String :name, null: false, default: ""
      column :created_at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      index :email, unique: true, where: { status_id: [1, 2] }
    end

    create_table(:account_password_hashes) do
      foreign_key :id, :accounts, primary_key: true, type: :Bignum, on_delete: :cascade
      String :password_hash, null: false
    end

    create_table(:account_login_failures) do
      foreign_key :id, :accounts, primary_key: true, type: :Bignum, on_delete: :cascade
      Integer :number, null: false, default: 1
    end

    create_table(:account_lockouts) do
      foreign_key :id, :accounts, primary_key: true, type: :Bignum, on_delete: :cascade
      String :key, null: false
      column :deadline, :timestamptz, null: false
      column :email_last_sent, :timestamptz
    end

    create_table(:account_authentication_audit_logs) do
      primary_key :id, type: :Bignum
      foreign_key :account_id, :accounts, null: false, type: :Bignum, on_delete: :cascade
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      String :message, null: false
      column :metadata, :jsonb
      index %i[account_id at]
    end
  end

  down do
    drop_table(:account_authentication_audit_logs, :account_lockouts, :account_login_failures,
               :account_password_hashes, :accounts, :account_statuses)
  end
end
