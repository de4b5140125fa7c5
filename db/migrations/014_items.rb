# frozen_string_literal: true

# Which item of an activity's set a problem was posed for.
Sequel.migration do
  change { alter_table(:problems) { add_column :item, Integer } }
end
