# frozen_string_literal: true

# By what a class is known in a file, when it ends and who was told of it; and what was brought in, to be taken back.
Sequel.migration do
  change do
    alter_table(:classrooms) do
      add_column :key, :uuid, null: false, default: Sequel.function(:gen_random_uuid)
      add_column :ends_on, Date
      add_column :told_on, Date
      add_column :emptied_on, Date
      add_index :key # rubocop:disable Sequel/ConcurrentIndex
    end

    create_table(:brought) do
      primary_key :id, type: :Bignum
      foreign_key :account_id, :accounts, type: :Bignum, on_delete: :set_null, index: true
      foreign_key :classroom_id, :classrooms, type: :Bignum, null: false, on_delete: :cascade, index: true
      String :kind, null: false
      String :name, null: false
      column :at, :timestamptz, null: false
      Integer :rows, null: false, default: 0
      check(kind: %w[class answers])
    end

    alter_table(:observations) { add_column :brought_id, :Bignum }
    # rubocop:disable-next Sequel/ConcurrentIndex
    alter_table(:observations) { add_index :brought_id, where: Sequel.~(brought_id: nil) }
  end
end
