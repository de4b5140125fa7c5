# frozen_string_literal: true

# The rung a week was for, with its range and operation; and what families wrote back of a page for home.
Sequel.migration do
  change do
    alter_table(:weeks) { add_column :rung, Integer }

    create_table(:home_answers) do
      primary_key :id, type: :Bignum
      foreign_key :classroom_id, :classrooms, type: :Bignum, null: false, on_delete: :cascade
      foreign_key :child_id, :children, type: :Bignum, null: false, on_delete: :cascade, index: true
      foreign_key :account_id, :accounts, type: :Bignum, on_delete: :set_null
      Date :day, null: false
      String :code, null: false
      index %i[classroom_id day]
    end
  end
end
