# frozen_string_literal: true

# The numbers a child said, and how long the answer took from posing.
Sequel.migration do
  change do
    alter_table(:observations) do
      add_column :heard, "integer[]", null: false, default: "{}"
      add_column :seconds, Integer
    end
  end
end
