# frozen_string_literal: true

# By what a class is known in a file, when it ends and who was told of it; and what was brought in, to be taken back.
Sequel.migration do
  up do
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

    create_table(:copies) do
      primary_key :id, type: :Bignum
      column :made_at, :timestamptz, null: false
      String :file, null: false
      Bignum :bytes, null: false
      Bignum :rows, null: false
      TrueClass :good, null: false, default: false
      String :trouble
    end

    # Children that were erased, by their class's key and their number, so that a copy brought back brings none of them
    # back.
    create_table(:erased) do
      Bignum :child_id, primary_key: true
      column :class_key, :uuid, null: false
      column :at, :timestamptz, null: false
    end

    create_table(:uploads) do
      primary_key :id, type: :Bignum
      foreign_key :account_id, :accounts, type: :Bignum, null: false, on_delete: :cascade, index: true
      foreign_key :classroom_id, :classrooms, type: :Bignum, null: false, on_delete: :cascade, index: true
      String :name, null: false
      File :content, null: false
      column :at, :timestamptz, null: false
    end

    alter_table(:observations) { add_column :brought_id, :Bignum }
    # rubocop:disable-next Sequel/ConcurrentIndex
    alter_table(:observations) { add_index :brought_id, where: Sequel.~(brought_id: nil) }

    # Classes that are there end with the school year, but no earlier than in ninety days.
    ends = "CASE WHEN make_date(date_part('year', now())::int, 7, 31) >= current_date + 90 " \
           "THEN make_date(date_part('year', now())::int, 7, 31) " \
           "ELSE make_date(date_part('year', now())::int + 1, 7, 31) END"
    from(:classrooms).update(ends_on: Sequel.lit(ends))
  end

  down do
    alter_table(:observations) { drop_column :brought_id }
    drop_table(:uploads, :erased, :copies, :brought)
    alter_table(:classrooms) do
      %i[key ends_on told_on emptied_on].each { |name| drop_column name }
    end
  end
end
