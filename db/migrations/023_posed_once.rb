# frozen_string_literal: true

# An item is posed once, also where two windows show it at the same moment. Of any posed twice the last stands for it.
Sequel.migration do
  up do
    earlier = from(:problems).exclude(part_id: nil).exclude(item: nil).select_group(:part_id, :item)
                             .having { count.function.* > 1 }.select_append { max(id).as(:last) }.all
    earlier.each do |row|
      from(:problems).where(row.slice(:part_id, :item)).exclude(id: row[:last]).update(item: nil)
    end
    alter_table(:problems) { add_unique_constraint %i[part_id item], name: :problems_part_item }
  end

  down { alter_table(:problems) { drop_constraint(:problems_part_item) } }
end
