# frozen_string_literal: true

# Slips of the last weeks, without reading the other records of a class.
Sequel.migration do
  change do
    alter_table(:observations) { add_index %i[classroom_id happened_at], name: :observations_with_slips, where: Sequel.~(slip: nil) } # rubocop:disable Sequel/ConcurrentIndex
  end
end
