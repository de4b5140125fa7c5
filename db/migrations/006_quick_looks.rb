# frozen_string_literal: true

# Quick looks of a lesson, and the ways children saw them.
Sequel.migration do
  change do
    create_table(:looks) do
      primary_key :id, type: :Bignum
      Bignum :classroom_id, null: false
      Bignum :lesson_id, null: false
      Integer :number, null: false
      String :arrangement, null: false
      Bignum :seed, null: false
      Integer :seconds, null: false
      unique %i[classroom_id id]
      foreign_key %i[classroom_id lesson_id], :lessons, key: %i[classroom_id id], on_delete: :cascade
      index %i[lesson_id]
    end

    create_table(:look_ways) do
      primary_key :id, type: :Bignum
      Bignum :classroom_id, null: false
      Bignum :look_id, null: false
      String :text, null: false
      column :groups, :jsonb, null: false
      Integer :tally, null: false, default: 1
      String :initials, null: false, default: ""
      foreign_key %i[classroom_id look_id], :looks, key: %i[classroom_id id], on_delete: :cascade
      unique %i[look_id text]
    end
  end
end
