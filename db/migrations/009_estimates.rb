# frozen_string_literal: true

# What the records say, carried on as they come in, so that a page reads a few rows and not a year of records. All of it
# can be made again from the observations.
Sequel.migration do
  change do
    # Where a child is now, in one operation and scope (a band, or "family:" and a family of facts). recent: the last
    # records.
    create_table(:estimates) do
      Bignum :classroom_id, null: false
      Bignum :child_id, null: false
      String :operation, null: false
      String :scope, null: false
      column :probabilities, "float8[]", null: false
      Integer :heard, null: false
      column :last_at, :timestamptz, null: false
      column :recent, "bigint[]", null: false
      primary_key %i[classroom_id child_id operation scope]
      foreign_key %i[classroom_id child_id], :children, key: %i[classroom_id id], on_delete: :cascade
    end

    # Where it was after each day something was heard.
    create_table(:estimate_steps) do
      Bignum :classroom_id, null: false
      Bignum :child_id, null: false
      String :operation, null: false
      String :scope, null: false
      Date :day, null: false
      Integer :rung, null: false
      column :confidence, :float8, null: false
      Integer :heard, null: false
      primary_key %i[classroom_id child_id operation scope day]
      foreign_key %i[classroom_id child_id], :children, key: %i[classroom_id id], on_delete: :cascade
    end

    # How many records a child has, off the ladder too, and the last of them.
    create_table(:tallies) do
      Bignum :classroom_id, null: false
      Bignum :child_id, null: false
      Integer :records, null: false
      column :last_at, :timestamptz
      primary_key %i[classroom_id child_id]
      foreign_key %i[classroom_id child_id], :children, key: %i[classroom_id id], on_delete: :cascade
    end

    # The likeliest slip of a wrong answer, as it was judged when recorded; and what stands on the listening list of a
    # lesson.
    alter_table(:observations) { add_column :slip, String }
    alter_table(:lessons) { add_column :listening, :jsonb }
  end
end
