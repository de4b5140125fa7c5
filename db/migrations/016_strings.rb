# frozen_string_literal: true

# A string becomes an activity like any other: each of its problems is an item of its set.
Sequel.migration do
  up do
    from(:lesson_parts).where(kind: "string").each do |part|
      equations = part[:details].to_h["equations"].to_a
      thrown = equations.each_index.to_h { |place| [place.to_s, { problems: equations, place: place }] }
      details = { "options" => part[:details].to_h.slice("move"), "seed" => (part[:id] % 9999) + 1 }
      details = details.merge("count" => equations.size, "thrown" => thrown) if equations.any?
      from(:lesson_parts).where(id: part[:id]).update(kind: "number_string", details: Sequel.pg_jsonb(details))
      posed = from(:problems).where(part_id: part[:id]).order(:posed_at, :id).select_map(:id)
      posed.each_with_index { |id, item| from(:problems).where(id: id).update(item: item) }
    end
  end

  down { raise Sequel::Error, "a string is an activity now; there is no way back" }
end
