# frozen_string_literal: true

# The link that opens one lesson for whoever takes the class that day, and which records came by it.
Sequel.migration do
  change do
    alter_table :lessons do
      add_column :substitute_key, String
      add_unique_constraint :substitute_key, name: :lessons_substitute_key
    end
    add_column :observations, :substitute, TrueClass, null: false, default: false
  end
end
