# frozen_string_literal: true

# What a person has seen explained, words not finished yet, classes put away, an order of children of one's own, and
# parts taken out that can still be put back.
Sequel.migration do
  change do
    add_column :accounts, :seen, "text[]", null: false, default: Sequel.lit("'{}'")
    add_column :memberships, :drafts, :jsonb, null: false, default: Sequel.lit("'{}'")
    add_column :classrooms, :archived_on, Date
    add_column :children, :place, Integer, null: false, default: 0
    add_column :lesson_parts, :removed_at, :timestamptz
  end
end
