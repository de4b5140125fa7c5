# frozen_string_literal: true

# One table of ways offered, whatever they were offered for; quick looks become an activity like any other.
Sequel.migration do
  up do
    rename_table(:problem_ways, :ways)
    alter_table(:ways) do
      set_column_allow_null :problem_id
      add_foreign_key :part_id, :lesson_parts, type: :Bignum, on_delete: :set_null
      add_column :item, Integer
      add_column :groups, :jsonb, null: false, default: "[]"
      add_unique_constraint %i[part_id item text]
    end
    alter_table(:showings) do
      add_foreign_key :part_id, :lesson_parts, type: :Bignum, on_delete: :cascade, index: true
      add_column :item, Integer
    end

    # What was planned: its options; what was shown: each look as it lay.
    from(:lesson_parts).where(kind: "quick_looks").each do |part|
      options = part[:details].to_h.slice("to", "seconds", "arrangement")
      options["to"] = [5, 10, 20, 30].find { |to| to >= options["to"] } if options["to"]
      details = { "options" => options, "seed" => (part[:id] % 9999) + 1 }
      from(:lesson_parts).where(id: part[:id]).update(kind: "quick_look", details: Sequel.pg_jsonb(details))
    end
    from(:looks).order(:id).to_hash_groups(%i[classroom_id lesson_id part_id]).each do |(room, lesson, part), looks|
      most = looks.map { |look| look[:number] }.max
      details = { "options" => { "to" => [5, 10, 20, 30].find { |to| to >= most }, "seconds" => looks[0][:seconds] },
                  "seed" => 1, "count" => looks.size,
                  "thrown" => looks.each_with_index.to_h do |look, item|
                    [item.to_s, look.slice(:number, :arrangement, :seed)]
                  end }
      if part
        from(:lesson_parts).where(id: part).update(details: Sequel.pg_jsonb(details))
      else
        place = from(:lesson_parts).where(lesson_id: lesson).max(:place).to_i + 1
        part = from(:lesson_parts).insert(classroom_id: room, lesson_id: lesson, place: place, kind: "quick_look",
                                          minutes: 4, details: Sequel.pg_jsonb(details))
        from(:part_runs).insert(part_id: part, ended_at: Sequel::CURRENT_TIMESTAMP)
      end
      looks.each_with_index do |look, item|
        from(:look_ways).where(look_id: look[:id]).order(:id).each do |way|
          from(:ways).insert(way.slice(:classroom_id, :text, :groups, :tally, :initials).merge(part_id: part,
                                                                                               item: item))
        end
        from(:showings).where(look_id: look[:id]).update(part_id: part, item: item)
      end
    end

    alter_table(:showings) { drop_column :look_id }
    drop_table(:look_ways)
    drop_table(:looks)
  end

  down { raise Sequel::Error, "quick looks are an activity now; there is no way back" }
end
