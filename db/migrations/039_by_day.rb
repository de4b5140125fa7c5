# frozen_string_literal: true

# What was heard on some days, and how children stood there on some days, without reading those of the year.
Sequel.migration do
  change do
    # rubocop:disable Sequel/ConcurrentIndex
    alter_table(:observations) { add_index %i[classroom_id happened_at], name: :observations_by_day }
    alter_table(:standing_days) { add_index %i[classroom_id operation scope day], name: :standings_by_day }
    # rubocop:enable Sequel/ConcurrentIndex
  end
end
