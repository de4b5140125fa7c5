# frozen_string_literal: true

# Slips of the last weeks, without reading the other records of a class.
Sequel.migration do
  change do
    alter_table(:observations) do
      # rubocop:disable-next Sequel/ConcurrentIndex
      add_index %i[classroom_id happened_at], name: :observations_with_slips, where: Sequel.~(slip: nil)
    end
  end
end
