# frozen_string_literal: true

# The last problem posed, which nearly every page asks for, without reading those of the year.
Sequel.migration do
  change do
    alter_table(:problems) do
      # rubocop:disable-next Sequel/ConcurrentIndex
      add_index %i[classroom_id posed_at id], name: :problems_in_turn, where: { check_in_id: nil }
    end
  end
end
