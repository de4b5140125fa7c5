# frozen_string_literal: true

# A link that sets a forgotten password anew, good for a day.
Sequel.migration do
  change do
    create_table :account_password_reset_keys do
      foreign_key :id, :accounts, type: :Bignum, primary_key: true, on_delete: :cascade
      String :key, null: false
      column :deadline, :timestamptz, null: false
    end
  end
end
