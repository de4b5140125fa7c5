# frozen_string_literal: true

# What a form was answered, by its key, for a day: pressed twice, it is done once.
Sequel.migration do
  change do
    create_table(:answered_forms) do
      String :whose, null: false
      String :key, null: false
      String :sent, null: false
      Integer :status
      String :location
      column :answered_at, :timestamptz, null: false
      primary_key %i[whose key sent]
      index :answered_at
    end
  end
end
