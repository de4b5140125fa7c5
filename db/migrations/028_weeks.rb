# frozen_string_literal: true

# The aim of a week, where its teacher chose one: range, operation and “I can”; and the seed it is proposed by.
Sequel.migration do
  change do
    create_table(:weeks) do
      foreign_key :classroom_id, :classrooms, type: :Bignum, null: false, on_delete: :cascade
      Date :monday, null: false
      String :band
      String :operation
      String :i_can
      Integer :seed, null: false, default: 1
      primary_key %i[classroom_id monday]
    end
  end
end
