# frozen_string_literal: true

# Teachers, assistants and coaches of a class, invited by a code; one answer that two people heard; a coach's visits;
# and clips that somebody has listened to.
Sequel.migration do
  up do
    alter_table(:memberships) do
      add_column :since, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      drop_constraint :memberships_role_check, type: :check
      add_constraint :memberships_role_check, role: %w[teacher assistant coach]
    end

    create_table(:invitations) do
      primary_key :id, type: :Bignum
      foreign_key :classroom_id, :classrooms, type: :Bignum, null: false, on_delete: :cascade, index: true
      foreign_key :account_id, :accounts, type: :Bignum, null: false, on_delete: :cascade, index: true
      foreign_key :taken_by, :accounts, type: :Bignum, on_delete: :set_null, index: true
      String :role, null: false
      String :code, null: false, unique: true
      column :at, :timestamptz, null: false
      column :taken_at, :timestamptz
      column :called_back_at, :timestamptz
      check(role: %w[teacher assistant coach])
    end

    create_table(:visits) do
      primary_key :id, type: :Bignum
      foreign_key :classroom_id, :classrooms, type: :Bignum, null: false, on_delete: :cascade
      foreign_key :account_id, :accounts, type: :Bignum, null: false, on_delete: :cascade, index: true
      Date :day, null: false
      String :aim, null: false, default: ""
      String :question, null: false, default: ""
      column :children, :jsonb, null: false, default: "[]"
      String :next_step, null: false, default: ""
      column :agreed, :jsonb, null: false, default: "[]"
      column :begun_at, :timestamptz
      column :ended_at, :timestamptz
      index %i[classroom_id day]
    end

    alter_table(:observations) do
      add_column :beside, :uuid
      add_column :visit_id, :Bignum
      add_index %i[classroom_id beside], where: Sequel.~(beside: nil) # rubocop:disable Sequel/ConcurrentIndex
    end

    alter_table(:lessons) { add_column :shared_out, :jsonb }

    create_table(:clips_heard) do
      primary_key :id, type: :Bignum
      foreign_key :account_id, :accounts, type: :Bignum, null: false, on_delete: :cascade, index: true
      column :clip, :jsonb, null: false
      String :code, null: false
      String :heard_as, null: false
      column :at, :timestamptz, null: false
    end

    alter_table(:accounts) { add_column :ear, :jsonb, null: false, default: "{}" }
  end

  down do
    alter_table(:accounts) { drop_column :ear }
    drop_table(:clips_heard)
    alter_table(:lessons) { drop_column :shared_out }
    alter_table(:observations) do
      drop_column :beside
      drop_column :visit_id
    end
    drop_table(:visits, :invitations)
    from(:memberships).where(role: "assistant").delete
    alter_table(:memberships) do
      drop_column :since
      drop_constraint :memberships_role_check, type: :check
      add_constraint :memberships_role_check, role: %w[teacher coach]
    end
  end
end
