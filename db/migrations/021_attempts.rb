# frozen_string_literal: true

# How often something was tried of late, shared by all servers; nobody is locked out by somebody else any more.
Sequel.migration do
  up do
    create_table(:attempts, unlogged: true) do
      String :key, primary_key: true
      Integer :count, null: false
      column :expires_at, :timestamptz, null: false, index: true
    end
    drop_table(:account_lockouts, :account_login_failures)
  end

  down { raise Sequel::Error, "accounts are not locked any more; there is no way back" }
end
