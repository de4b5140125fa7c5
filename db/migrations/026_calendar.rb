# frozen_string_literal: true

# The private address under which a calendar reads a class's lessons.
Sequel.migration do
  change do
    alter_table :classrooms do
      add_column :calendar_key, String
      add_unique_constraint :calendar_key, name: :classrooms_calendar_key
    end
  end
end
