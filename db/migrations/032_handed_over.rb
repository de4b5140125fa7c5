# frozen_string_literal: true

# Whatever was brought in says so, to be taken back; where a child was when it came, in the words of who handed it over;
# and a child that is offered to another class.
Sequel.migration do
  # Tables whose rows can be brought in, beside answers.
  brought = %i[children weeks lessons lesson_parts photos home_answers]

  up do
    brought.each { |table| alter_table(table) { add_column :brought_id, :Bignum } }
    alter_table(:brought) do
      drop_constraint :brought_kind_check, type: :check
      add_constraint :brought_kind_check, kind: %w[class answers plans children names]
    end

    create_table(:came_with) do
      primary_key :id, type: :Bignum
      foreign_key :classroom_id, :classrooms, type: :Bignum, null: false, on_delete: :cascade
      foreign_key :child_id, :children, type: :Bignum, null: false, on_delete: :cascade, index: true
      String :operation, null: false
      String :band, null: false
      Integer :rung, null: false
      String :sure, null: false
      Integer :records, null: false
      Date :day, null: false
      Bignum :brought_id
      index %i[classroom_id child_id]
    end

    create_table(:child_offers) do
      primary_key :id, type: :Bignum
      foreign_key :classroom_id, :classrooms, type: :Bignum, null: false, on_delete: :cascade, index: true
      foreign_key :child_id, :children, type: :Bignum, null: false, on_delete: :cascade, index: true
      foreign_key :account_id, :accounts, type: :Bignum, null: false, on_delete: :cascade, index: true
      String :code, null: false, unique: true
      column :at, :timestamptz, null: false
    end
  end

  down do
    drop_table(:child_offers, :came_with)
    from(:brought).where(kind: %w[plans children names]).delete
    alter_table(:brought) do
      drop_constraint :brought_kind_check, type: :check
      add_constraint :brought_kind_check, kind: %w[class answers]
    end
    brought.each { |table| alter_table(table) { drop_column :brought_id } }
  end
end
