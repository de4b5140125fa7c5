# frozen_string_literal: true

# What teachers write themselves: parts of a lesson, words for stories, questions beside slips.
Sequel.migration do
  up do
    create_table(:own) do
      primary_key :id, type: :Bignum
      foreign_key :classroom_id, :classrooms, type: :Bignum, null: false, on_delete: :cascade
      String :kind, null: false
      column :content, :jsonb, null: false
      column :at, :timestamptz, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :removed_at, :timestamptz
      Bignum :brought_id
      check(kind: %w[part thing place person question])
      index %i[classroom_id kind]
    end

    alter_table(:brought) do
      drop_constraint :brought_kind_check, type: :check
      add_constraint :brought_kind_check, kind: %w[class answers plans children names own]
    end
  end

  down do
    from(:brought).where(kind: "own").delete
    alter_table(:brought) do
      drop_constraint :brought_kind_check, type: :check
      add_constraint :brought_kind_check, kind: %w[class answers plans children names]
    end
    drop_table(:own)
  end
end
