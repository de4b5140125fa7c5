# frozen_string_literal: true

# What takes long and is done beside the server; sessions that last on a device; what comes often counted in one row;
# and what a substitute recorded, set aside by the teacher.
Sequel.migration do
  change do
    create_table(:jobs) do
      primary_key :id, type: :Bignum
      foreign_key :account_id, :accounts, type: :Bignum, on_delete: :cascade
      foreign_key :classroom_id, :classrooms, type: :Bignum, on_delete: :cascade
      String :kind, null: false
      column :asked, :jsonb, null: false, default: "{}"
      String :state, null: false, default: "waiting"
      Integer :done, null: false, default: 0
      Integer :total, null: false, default: 0
      String :trouble
      File :made
      column :created_at, :timestamptz, null: false
      column :ended_at, :timestamptz
      check(state: %w[waiting going ready failed])
      index %i[state id]
      index %i[account_id]
      index %i[classroom_id]
    end

    alter_table(:account_active_session_keys) { add_column :stays, TrueClass, null: false, default: false }

    alter_table(:audit_events) do
      add_column :times, Integer, null: false, default: 1
      add_column :counted, String
      # rubocop:disable-next Sequel/ConcurrentIndex
      add_index :counted, unique: true, where: Sequel.~(counted: nil)
    end

    alter_table(:lessons) { add_column :set_aside, :jsonb }
  end
end
