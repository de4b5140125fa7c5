# frozen_string_literal: true

# How a child works out what it does not know, and what it knows, carried on as records come in; all of it can be made
# again from the observations. The tables of the rule before (estimates, estimate_steps) stay for servers of the version
# before, and go a version later.
Sequel.migration do
  # What stands of a child in one operation and scope (a band, or "family:" and a family of facts).
  of_scope = Kernel.lambda do |table|
    table.column :probabilities, "float8[]", null: false
    table.column :shown, "integer[]", null: false
    table.Date :worked_on
    table.Integer :heard, null: false
    table.Integer :known, null: false
    table.Integer :pivots, null: false
    table.Date :fact_on
  end
  of_child = Kernel.lambda do |table|
    table.Bignum :classroom_id, null: false
    table.Bignum :child_id, null: false
    table.String :operation, null: false
    table.foreign_key %i[classroom_id child_id], :children, key: %i[classroom_id id], on_delete: :cascade
  end

  up do
    # Now; recent: the last records, packed.
    create_table(:standings) do
      of_child.call(self)
      String :scope, null: false
      of_scope.call(self)
      column :last_at, :timestamptz, null: false
      column :recent, "bigint[]", null: false
      primary_key %i[classroom_id child_id operation scope]
    end

    # After each day something was heard: the rung of the child, and how it works things out, where that could be said.
    create_table(:standing_days) do
      of_child.call(self)
      String :scope, null: false
      Date :day, null: false
      Integer :rung
      Integer :works_out
      of_scope.call(self)
      primary_key %i[classroom_id child_id operation scope day]
    end

    # The latest answer alone to a fact: p and q, the smaller first, when adding; the whole and what goes when taking
    # away.
    create_table(:facts) do
      of_child.call(self)
      Integer :first, null: false
      Integer :second, null: false
      TrueClass :known, null: false
      Integer :rung, null: false
      TrueClass :right, null: false
      column :last_at, :timestamptz, null: false
      primary_key %i[classroom_id child_id operation first second]
    end

    # What came with a child: by which rule it was told, none for the one before; of how many facts heard how many were
    # known.
    alter_table(:came_with) do
      add_column :rule, Integer
      add_column :facts_heard, Integer
      add_column :facts_known, Integer
    end

    # Whether what wrote a record carried it into these tables: a server of the version before does not.
    add_column :observations, :carried, TrueClass, null: false, default: false
    create_table(:carried_up_to) do
      Bignum :observation_id, null: false
    end
    from(:carried_up_to).insert(observation_id: 0)
  end

  down do
    drop_table(:carried_up_to, :facts, :standing_days, :standings)
    drop_column :observations, :carried
    alter_table(:came_with) { %i[rule facts_heard facts_known].each { |column| drop_column column } }
  end
end
