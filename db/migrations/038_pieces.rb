# frozen_string_literal: true

# Files that came in, and those that were made, lie in pieces: nobody holds all of one at once. The columns where they
# lay whole stay for the version before.
Sequel.migration do
  up do
    create_table(:pieces) do
      primary_key :id, type: :Bignum
      foreign_key :classroom_id, :classrooms, type: :Bignum, on_delete: :cascade
      foreign_key :upload_id, :uploads, type: :Bignum, on_delete: :cascade
      foreign_key :job_id, :jobs, type: :Bignum, on_delete: :cascade
      Integer :number, null: false
      File :bytes, null: false
      index %i[upload_id number], unique: true
      index %i[job_id number], unique: true
      index :classroom_id
    end
    alter_table(:uploads) { set_column_allow_null :content }
  end

  down do
    from(:uploads).where(content: nil).delete
    alter_table(:uploads) { set_column_not_null :content }
    drop_table(:pieces)
  end
end
